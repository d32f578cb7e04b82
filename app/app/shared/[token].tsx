import { useLocalSearchParams } from "expo-router";
import { SharedScreen } from "~/features/share/SharedScreen";

export default function SharedRoute() {
  const { token } = useLocalSearchParams<{ token: string }>();
  return <SharedScreen key={token} token={token} />;
}
