import { useLocalSearchParams } from "expo-router";
import { ResetScreen } from "~/features/account/ResetScreen";

export default function ResetRoute() {
  const { token } = useLocalSearchParams<{ token: string }>();
  return <ResetScreen key={token} token={token} />;
}
