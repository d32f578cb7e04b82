import { useLocalSearchParams } from "expo-router";
import { RunScreen } from "~/features/run/RunScreen";

export default function RunRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <RunScreen id={id} />;
}
