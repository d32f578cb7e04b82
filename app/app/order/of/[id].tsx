import { useLocalSearchParams } from "expo-router";
import { NewOrderScreen } from "~/features/order/NewOrderScreen";

export default function NewOrder() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <NewOrderScreen startId={id} />;
}
