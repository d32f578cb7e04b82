import { useLocalSearchParams } from "expo-router";
import { JoinScreen } from "~/features/account/JoinScreen";

export default function JoinRoute() {
  const { token } = useLocalSearchParams<{ token: string }>();
  return <JoinScreen key={token} token={token} />;
}
