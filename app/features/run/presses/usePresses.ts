import type { GroupMark, RunDrill, RunState } from "@tonodrome/core";
import type { Refit } from "@tonodrome/core/fitting";
import { useMemo, useRef } from "react";
import { moveRun } from "~/data/runs/moveRun";
import { type NewPress, pressRun } from "~/data/runs/press";

/** What can be pressed during a run, besides what opens a sheet. */
export interface Presses {
  begin: () => void;
  done: () => void;
  skip: () => void;
  more: () => void;
  hold: () => void;
  back: () => void;
  hit: () => void;
  miss: () => void;
  jump: (key: string) => void;
  insert: (drill: RunDrill) => void;
  refit: (refit: Refit) => void;
  moveStart: (minutes: number) => void;
  /** Takes a press back: the last one, or another. */
  undo: () => void;
  takeBack: (id: string) => void;
  end: () => void;
  /** Of a group: whether one of them is there, and what one of them made of the step under way. */
  there: (who: string, isThere: boolean) => void;
  mark: (who: string, mark: GroupMark | null) => void;
}

/** Seconds of one press for more time. */
const MORE = 30;

/**
 * The presses of a run. Each says which step it is meant for, so that on two phones it counts once.
 * @param now the state of the run when something is pressed
 */
export function pressesOf(id: string, now: () => RunState): Presses {
  const press = (event: NewPress) => pressRun(id, event);
  const forStep = (event: NewPress) => {
    const { splits, index } = now();
    const of = splits[index]?.key;
    press(of === undefined ? event : ({ ...event, of } as NewPress));
  };
  return {
    begin: () => press({ kind: "begin" }),
    done: () => forStep({ kind: "done" }),
    skip: () => forStep({ kind: "skip" }),
    more: () => forStep({ kind: "extend", seconds: MORE }),
    hold: () => press({ kind: now().heldSince === null ? "hold" : "release" }),
    back: () => forStep({ kind: "back" }),
    hit: () => forStep({ kind: "hit" }),
    miss: () => forStep({ kind: "miss" }),
    jump: (to) => press({ kind: "jump", to }),
    insert: (drill) => press({ kind: "insert", drill }),
    refit: ({ drills, waitSeconds, until, line }) =>
      press({ kind: "refit", drills, waitSeconds, line, ...(until ? { until } : {}) }),
    moveStart: (minutes) => moveRun(id, new Date(now().startsAt + minutes * 60_000).toISOString(), null),
    undo: () => {
      const last = now().undoable.at(-1);
      if (last) press({ kind: "undo", undoes: last.id });
    },
    takeBack: (undoes) => press({ kind: "undo", undoes }),
    end: () => press({ kind: "end" }),
    there: (who, isThere) => press({ kind: "there", who, isThere }),
    mark: (who, mark) => {
      const { splits, index } = now();
      const step = splits[index]?.key;
      if (step !== undefined) press({ kind: "mark", who, step, mark });
    },
  };
}

/** The same for the run on the screen: the same functions all along, so that what shows them need not be drawn again. */
export function usePresses(id: string, state: RunState): Presses {
  const latest = useRef(state);
  latest.current = state;
  return useMemo(() => pressesOf(id, () => latest.current), [id]);
}
