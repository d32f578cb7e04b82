import { useStore } from "zustand";
import { clock } from "./clock";

/** Seconds that the device's clock is ahead of the server's (negative: behind); 0 while it is right. */
export function useClockAhead(): number {
  return useStore(clock, ({ ahead }) => Math.round(ahead / 1000));
}
