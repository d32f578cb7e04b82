import { useLocalSearchParams } from "expo-router";
import { WarmUpScreen } from "~/features/warmup/WarmUpScreen";

export default function WarmUpRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <WarmUpScreen key={id} id={id} />;
}
