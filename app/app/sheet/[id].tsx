import { useLocalSearchParams } from "expo-router";
import { SheetScreen } from "~/features/sheet/SheetScreen";

export default function SheetRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <SheetScreen key={id} id={id} />;
}
