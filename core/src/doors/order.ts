// Running orders that are followed by hand: whatever shows one, and the server that moves their starts.

export { type OrderForm, orderSlots } from "../order/orderSlots";
export {
  expectedAt,
  isNear,
  type OrderCall,
  type OrderPace,
  type OrderSlot,
  paceOf,
  withCall,
} from "../order/runningOrder";
