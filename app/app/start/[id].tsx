import { useLocalSearchParams } from "expo-router";
import { WarmUpScreen } from "~/features/warmup/WarmUpScreen";

export default function WarmUpRoute() {
  const { id, sheet } = useLocalSearchParams<{ id: string; sheet?: string }>();
  return <WarmUpScreen key={id} id={id} sheet={sheet === "start" ? "start" : null} />;
}
