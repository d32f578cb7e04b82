import { useLocalSearchParams } from "expo-router";
import { OrderScreen } from "~/features/order/OrderScreen";

export default function Order() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <OrderScreen id={id} />;
}
