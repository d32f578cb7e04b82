import type { PlanItem } from "@tonodrome/core";
import { useState } from "react";
import { useStable } from "~/ui/hooks/useStable";

/** Which drill is open, or which several are chosen. */
export interface Selection {
  selectedId: string | null;
  /** Its line in the plan; −1 where none is selected. */
  index: number;
  /** Ids of several drills chosen at once; null when drills are opened by a press. */
  chosen: ReadonlySet<string> | null;
  /** Selects a drill, or none, without opening it. */
  put: (itemId: string | null) => void;
  /** Selects the drill this many places further down. */
  step: (by: number) => void;
  /** Begins or ends choosing several. */
  choose: (on: boolean) => void;
}

/** @param opens whether a press opens a drill in its place, and the next one closes it */
export function useSelection(
  items: readonly PlanItem[],
  opens: boolean,
): Selection & {
  select: (itemId: string) => void;
  /** Of several chosen none any more. */
  clear: () => void;
  /** After a drill is taken out: selects its neighbour; none where drills open in their place, under the thumb that took it out. */
  leave: () => void;
} {
  const [selectedId, put] = useState<string | null>(null);
  const [chosen, setChosen] = useState<ReadonlySet<string> | null>(null);
  const index = items.findIndex((i) => i.id === selectedId);
  return {
    selectedId,
    index,
    chosen,
    put,
    leave: useStable(() => put(opens ? null : ((items[index + 1] ?? items[index - 1])?.id ?? null))),
    clear: useStable(() => setChosen(new Set())),
    choose: useStable((on: boolean) => setChosen(on ? new Set() : null)),
    select: useStable((itemId: string) => {
      if (chosen) {
        const next = new Set(chosen);
        if (!next.delete(itemId)) next.add(itemId);
        setChosen(next);
        return;
      }
      put((now) => (opens && now === itemId ? null : itemId));
    }),
    step: useStable((by: number) => {
      const to = Math.min(Math.max(0, index + by), items.length - 1);
      put(items[to]?.id ?? null);
    }),
  };
}
