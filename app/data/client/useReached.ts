import { useStore } from "zustand";
import { reach } from "./reach";

/** Whether the server is in reach, as far as anybody has asked. */
export const useReached = (): boolean => useStore(reach, ({ isReached }) => isReached);
