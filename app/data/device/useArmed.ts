import { useStore } from "zustand";
import { armed } from "./armed";

/** Returns the starts whose day calls here. */
export const useArmed = (): readonly string[] => useStore(armed);
