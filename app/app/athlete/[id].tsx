import { useLocalSearchParams } from "expo-router";
import { AthleteScreen } from "~/features/athletes/AthleteScreen";

export default function AthleteRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <AthleteScreen id={id} />;
}
