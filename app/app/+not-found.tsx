import { useRouter } from "expo-router";
import { Button } from "~/ui/Button";
import { Screen } from "~/ui/layout/Screen";

export default function NotFound() {
  const router = useRouter();
  return (
    <Screen title="There is nothing at this address">
      <Button label="Go to Today" look="full" onPress={() => router.replace("/")} />
    </Screen>
  );
}
