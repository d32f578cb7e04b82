import type { RunState } from "@tonodrome/core";
import { useEffect } from "react";
import { useStore } from "zustand";
import { useStart } from "~/data/resources/starts";
import { followStart } from "~/data/runs/follow";
import type { KeptRun } from "~/data/runs/keptRun";
import { moves } from "~/data/starts/moves";

/** How often it is asked where the start is, milliseconds: a change is told at once, unless that was missed. */
const EVERY = 5_000;

/** Has a run go by where its start is, wherever it was moved. What is heard is shown, and recorded by nobody here. */
export function useFollowedStart(kept: KeptRun, { status }: Pick<RunState, "status">): void {
  const { startId } = kept.run;
  const { data, dataUpdatedAt } = useStart(startId ?? "", { every: EVERY });
  const move = useStore(moves.store, ({ items }) => (startId ? items.get(startId) : undefined));
  const isOver = status === "ended";
  // biome-ignore lint/correctness/useExhaustiveDependencies: whenever the start is read, moved here, or its log learns of it
  useEffect(() => {
    if (!isOver) followStart(kept.run.id, data, dataUpdatedAt);
  }, [isOver, kept, data, dataUpdatedAt, move]);
}
