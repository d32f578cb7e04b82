import type { Start } from "@tonodrome/core/api";
import { useSyncExternalStore } from "react";
import type { KeptRun } from "./keptRun";
import { type Link, linkNow } from "./send";
import { canKeep, get, openRunOf, openRuns, runListeners } from "./store";

const { subscribe } = runListeners;

/** A run kept on this device; null when it is not here. */
export const useKeptRun = (id: string): KeptRun | null => useSyncExternalStore(subscribe, () => get(id));

/** How the server did when it was last sent to. */
export const useLink = (): Link => useSyncExternalStore(subscribe, linkNow);

/** Whether this device can keep what is pressed. */
export const useKeeps = (): boolean => useSyncExternalStore(subscribe, canKeep);

/** Runs under way on this device, the next start first. */
export const useOpenRuns = (): readonly KeptRun[] => useSyncExternalStore(subscribe, openRuns);

/** The run under way for a start on this device. */
export const useOpenRun = (start: Pick<Start, "id" | "athlete">): string | null =>
  useSyncExternalStore(subscribe, () => openRunOf(start));
