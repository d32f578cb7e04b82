import type { Start } from "@tonodrome/core/api";
import { useStore } from "zustand";
import { useShallow } from "zustand/react/shallow";
import type { Link } from "~/data/outbox/outbox";
import type { KeptRun } from "./keptRun";
import { get, openRunOf, openRuns, runStore } from "./store";

/** A run kept on this device; null when it is not here. */
export const useKeptRun = (id: string): KeptRun | null => useStore(runStore, () => get(id));

/** What of it does not change with a press, and whether the server has it; null when it is not here. */
export function useKeptAbout(id: string): { run: KeptRun["run"]; isCreated: boolean } | null {
  const run = useStore(runStore, () => get(id)?.run ?? null);
  const isCreated = useStore(runStore, () => get(id)?.created === true);
  return run && { run, isCreated };
}

/** How the server did when it was last sent to. */
export const useLink = (): Link => useStore(runStore, ({ link }) => link);

/** Whether this device can keep what is pressed; a store that is full or forbidden cannot. */
export const useKeeps = (): boolean => useStore(runStore, ({ keeps }) => keeps);

/** Runs under way on this device, the next start first. */
export const useOpenRuns = (): readonly KeptRun[] => useStore(runStore, useShallow(openRuns));

/** The others of them: nothing new with a press in the one that is left out. @param id of that one */
export const useOtherRuns = (id: string): readonly KeptRun[] =>
  useStore(
    runStore,
    useShallow(() => openRuns().filter(({ run }) => run.id !== id)),
  );

/** The run under way for a start on this device. */
export const useOpenRun = (start: Pick<Start, "id" | "athlete">): string | null =>
  useStore(runStore, () => openRunOf(start));
