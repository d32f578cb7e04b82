import type { Start } from "@tonodrome/core/api";
import { useStore } from "zustand";
import { useShallow } from "zustand/react/shallow";
import type { KeptRun } from "./keptRun";
import { get, type Link, openRunOf, openRuns, runStore } from "./store";

/** A run kept on this device; null when it is not here. */
export const useKeptRun = (id: string): KeptRun | null => useStore(runStore, () => get(id));

/** How the server did when it was last sent to. */
export const useLink = (): Link => useStore(runStore, ({ link }) => link);

/** Whether this device can keep what is pressed; a store that is full or forbidden cannot. */
export const useKeeps = (): boolean => useStore(runStore, ({ keeps }) => keeps);

/** Runs under way on this device, the next start first. */
export const useOpenRuns = (): readonly KeptRun[] => useStore(runStore, useShallow(openRuns));

/** The run under way for a start on this device. */
export const useOpenRun = (start: Pick<Start, "id" | "athlete">): string | null =>
  useStore(runStore, () => openRunOf(start));
