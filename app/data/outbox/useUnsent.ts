import { useSyncExternalStore } from "react";
import { outboxChanges, whenOutboxChanges } from "./outbox";
import { everyFailure, everythingUnsent, waitingForOthers } from "./unsent";

/** What only this device knows, what the server will not take as it is, and what waits for others: as it stands by now. */
export function useUnsent() {
  useSyncExternalStore(whenOutboxChanges, outboxChanges);
  return { unsent: everythingUnsent(), failures: everyFailure(), others: waitingForOthers() };
}
