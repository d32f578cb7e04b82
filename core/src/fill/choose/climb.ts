import type { LadderDose, Rung } from "../../dose/ladder/ladderDose";
import { cutText } from "../../words/cutText";
import { LONGEST_NAME } from "../../words/text";
import { type Choice, type Chosen, choiceOf } from "./choice";

/** The first place where a climb rises more than it may, or null. @param from effort that it goes on from; null for anywhere */
export function steepGap(
  climb: readonly Chosen[],
  points: number,
  from: number | null = null,
): { from: number; to: number } | null {
  let level = from;
  for (const { choice } of climb) {
    if (level !== null && choice.from - level > points) return { from: level, to: choice.from };
    level = choice.to;
  }
  return null;
}

/** A ladder without the rungs above an effort; null where fewer than two are left. */
export function cutAbove(choice: Choice, top: number): Choice | null {
  const { dose } = choice.drill;
  if (choice.to <= top) return choice;
  if (dose.kind !== "ladder") return null;
  const rungs = dose.rungs.filter((r) => r.intensity <= top);
  if (rungs.length < 2) return null;
  return partOf(choice, dose, rungs);
}

/** A ladder from the highest rung on that may come first; whole where fewer than two would be left. */
export function cutBelow(choice: Choice, most: number): Choice {
  const { dose } = choice.drill;
  if (dose.kind !== "ladder") return choice;
  const rungs = dose.rungs.slice(
    Math.max(
      0,
      dose.rungs.findLastIndex((r) => r.intensity <= most),
    ),
  );
  return rungs.length < 2 || rungs.length === dose.rungs.length ? choice : partOf(choice, dose, rungs);
}

/** Whether a ladder begins above its first rung on the shelf. */
export function isBegunHigher({ drill, whole }: Choice): boolean {
  const [from, first] = [drill, whole].map(({ dose }) => dose.kind === "ladder" && dose.rungs[0]?.intensity);
  return typeof from === "number" && typeof first === "number" && from > first;
}

/**
 * Single actions and ladders as one climb from easy to hard: what lies between two rungs of a ladder stands between them, and
 * the ladder is cut there.
 */
export function mergedClimb(climb: readonly Chosen[]): Chosen[] {
  const steps = climb.flatMap((chosen): { chosen: Chosen; effort: number; rung: Rung | null }[] => {
    const { dose, intensity } = chosen.choice.drill;
    return dose.kind === "ladder"
      ? dose.rungs.map((rung) => ({ chosen, effort: rung.intensity, rung }))
      : [{ chosen, effort: intensity, rung: null }];
  });
  // Of equal effort a ladder's first rung comes after single actions, and its last one before them, so that it stays whole.
  const isFirst = ({ chosen, rung }: (typeof steps)[number]) =>
    isLadder(chosen) && rung === firstRung(chosen);
  const ordered = steps.toSorted(
    (a, b) => a.effort - b.effort || Number(isFirst(a)) - Number(isFirst(b)) || order(a, b),
  );
  const groups: { chosen: Chosen; rungs: Rung[] }[] = [];
  for (const { chosen, rung } of ordered) {
    const last = groups.at(-1);
    if (last?.chosen === chosen && rung) last.rungs.push(rung);
    else groups.push({ chosen, rungs: rung ? [rung] : [] });
  }
  const begun = new Set<Chosen>();
  return groups.map(({ chosen, rungs }) => {
    const { dose } = chosen.choice.drill;
    if (dose.kind !== "ladder" || rungs.length === dose.rungs.length) return chosen;
    const why = begun.has(chosen)
      ? "The ladder goes on, after what lies between its rungs."
      : `${chosen.why} Cut here, so that the climb stays even.`;
    begun.add(chosen);
    return { ...chosen, choice: partOf(chosen.choice, dose, rungs), why };
  });

  function order(a: (typeof steps)[number], b: (typeof steps)[number]): number {
    return climb.indexOf(a.chosen) - climb.indexOf(b.chosen);
  }
}

const isLadder = ({ choice }: Chosen) => choice.drill.dose.kind === "ladder";
const firstRung = ({ choice: { drill } }: Chosen) =>
  drill.dose.kind === "ladder" ? drill.dose.rungs[0] : undefined;

/** Some rungs of a ladder as a drill of their own, under its name and theirs. */
function partOf(choice: Choice, dose: LadderDose, rungs: readonly Rung[]): Choice {
  const [first] = rungs as [Rung];
  const last = rungs.at(-1) as Rung;
  const word = (r: Rung) => r.label || `${r.intensity} %`;
  const words = rungs.length === 1 ? word(first) : `${word(first)} to ${word(last)}`;
  const name = `${cutText(choice.whole.name, Math.max(10, LONGEST_NAME - words.length - 2))}: ${words}`;
  const part =
    rungs.length === 1
      ? { dose: first.dose, intensity: first.intensity, focus: first.focus || choice.drill.focus }
      : {
          dose: { ...dose, rungs: [...rungs], leastRungs: Math.min(dose.leastRungs, rungs.length) },
          intensity: last.intensity,
        };
  return choiceOf(
    { ...choice.drill, name: cutText(name, LONGEST_NAME), ...part },
    choice.kept,
    choice.lean,
    choice.whole,
  );
}
