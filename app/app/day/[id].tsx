import { useLocalSearchParams } from "expo-router";
import { DayScreen } from "~/features/day/DayScreen";

export default function DayRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <DayScreen key={id} id={id} />;
}
