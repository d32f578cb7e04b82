import { useStore } from "zustand";
import { release } from "./release";

/** Whether this page is too old for the server. */
export const useTooOld = (): boolean => useStore(release, ({ isTooOld }) => isTooOld);
