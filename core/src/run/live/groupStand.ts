import type { GroupMark } from "../../group/groupMark";
import type { Phase } from "../../words/phase";
import type { RunState } from "../log/state";
import type { RunDrill, RunPlan } from "../steps/runPlan";

/** Parts of a warm-up that each does by themselves, up their own ladder; the others are led for all. */
const OWN: ReadonlySet<Phase> = new Set(["technical", "prime"]);

/** Whether a step is each athlete's own, not led for all. */
export const isOwnStep = ({ phase, wait }: Pick<RunDrill, "phase" | "wait">): boolean =>
  OWN.has(phase) && wait === undefined;

/** How one of a group stands. */
export interface MemberStand {
  id: string;
  name: string;
  /** Expected to be there until somebody marks that they are not. */
  isThere: boolean;
  /** What is marked of them at the step under way; null where nothing is. */
  mark: GroupMark | null;
  /** Names of the steps that they sat out. */
  satOut: string[];
}

/** A group as it stands in a run. */
export interface GroupStand {
  members: MemberStand[];
  there: number;
  /** Of those who are there, who has done the step under way by themselves. */
  done: number;
}

/** Returns how a run's group stands; null for a single athlete. */
export function groupStand({ group }: Pick<RunPlan, "group">, state: RunState): GroupStand | null {
  if (!group) return null;
  const now = state.splits[state.index]?.key ?? "";
  const members = group.map(({ id, name }): MemberStand => {
    const marks = state.marks[id] ?? {};
    return {
      ...{ id, name, isThere: !state.away.includes(id), mark: marks[now] ?? null },
      satOut: state.splits.filter((s) => marks[s.key] === "out").map((s) => s.drill.name),
    };
  });
  const there = members.filter((m) => m.isThere);
  return { members, there: there.length, done: there.filter((m) => m.mark === "done").length };
}

/** @example "All together, 22 of 24 there"; "Each their own, 5 of 22 done" */
export function groupWords({ members, there, done }: GroupStand, step: RunDrill | undefined): string {
  if (step && isOwnStep(step)) return `Each their own, ${done} of ${there} done`;
  return `All together, ${there === members.length ? `all ${there}` : `${there} of ${members.length}`} there`;
}
