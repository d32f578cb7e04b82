import { useLocalSearchParams } from "expo-router";
import { LogRunScreen } from "~/features/log/LogRunScreen";

export default function LogRunRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <LogRunScreen id={id} />;
}
