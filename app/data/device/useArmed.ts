import { useSyncExternalStore } from "react";
import { armedStarts, whenArmed } from "./armed";

/** The starts whose day calls here. */
export const useArmed = (): readonly string[] => useSyncExternalStore(whenArmed, armedStarts);
