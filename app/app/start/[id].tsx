import { useLocalSearchParams } from "expo-router";
import { WarmUpScreen } from "~/features/warmup/WarmUpScreen";

export default function WarmUpRoute() {
  const { id, sheet, fill } = useLocalSearchParams<{ id: string; sheet?: string; fill?: string }>();
  return (
    <WarmUpScreen key={id} id={id} sheet={sheet === "start" ? "start" : null} fillsFirst={fill === "first"} />
  );
}
