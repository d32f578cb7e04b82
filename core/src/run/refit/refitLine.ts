import { describeChange } from "../../dose/describeChange";
import { levelsOf } from "../../dose/levelsOf";
import type { DoseLevel } from "../../dose/terms/level";
import type { PlanItem } from "../../plan/plan";
import { formatLength, spokenLength } from "../../time/clock";
import { cutText } from "../../words/cutText";
import { LONGEST_CHANGE } from "../log/runEvent";
import { type RunDrill, stepKey } from "../steps/runPlan";

/** More changes than this are counted, not named. */
const NAMED = 2;

/**
 * What another remainder changes, in a line.
 * @example "Walking lunges 2 sets (was 3), Spins left out and 1 more. The ladder keeps its top."
 */
export function refitLine(
  items: readonly PlanItem[],
  before: readonly RunDrill[],
  after: readonly RunDrill[],
): string {
  const changes = refitChanges(items, before, after);
  const named = changes.slice(0, NAMED).join(", ");
  const more = changes.length > NAMED ? ` and ${changes.length - NAMED} more` : "";
  const parts = [
    changes.length > 0 ? `${named}${more}.` : "",
    tops(items, before, after),
    waits(before, after, changes),
    longWait(before, after),
  ];
  return cutText(parts.filter(Boolean).join(" "), LONGEST_CHANGE);
}

/** What changes of each drill, in the order of the plan; and which come at another place in the order than they did. */
export function refitChanges(
  items: readonly PlanItem[],
  before: readonly RunDrill[],
  after: readonly RunDrill[],
): string[] {
  const changed = items.flatMap((item) => {
    const change = changeOf(item, stepsFor(item, before), stepsFor(item, after));
    return change ? [change] : [];
  });
  return [...changed, ...movesOf(items, before, after)];
}

/** @example "Spins now comes after Axel" */
function movesOf(
  items: readonly PlanItem[],
  before: readonly RunDrill[],
  after: readonly RunDrill[],
): string[] {
  const isIn = (drills: readonly RunDrill[]) => (item: PlanItem) => stepsFor(item, drills).length > 0;
  const kept = items.filter(isIn(before)).filter(isIn(after));
  const inOrderOf = (drills: readonly RunDrill[]) =>
    kept.toSorted((a, b) => firstOf(a, drills) - firstOf(b, drills));
  const was = inOrderOf(before);
  const now = inOrderOf(after);
  const stays = new Set(longestRising(now.map((item) => was.indexOf(item))));
  return now.flatMap((item, i) => {
    if (stays.has(was.indexOf(item))) return [];
    const last = now[i - 1];
    return [`${item.name} now comes ${last ? `after ${last.name}` : "first"}`];
  });
}

/** The most of some numbers that rise in the order in which they stand. */
function longestRising(numbers: readonly number[]): number[] {
  const best: number[][] = [];
  numbers.forEach((n, i) => {
    const before = best.slice(0, i).filter((run) => (run.at(-1) as number) < n);
    const longest = before.reduce<number[]>((a, b) => (b.length > a.length ? b : a), []);
    best.push([...longest, n]);
  });
  return best.reduce<number[]>((a, b) => (b.length > a.length ? b : a), []);
}

/** Where a drill's first step stands among others. */
const firstOf = (item: PlanItem, drills: readonly RunDrill[]) => {
  const [first] = stepsFor(item, drills);
  return first ? drills.indexOf(first) : -1;
};

const stepsFor = (item: PlanItem, drills: readonly RunDrill[]) =>
  drills.filter((d) => !d.wait && (d.ladderId ?? d.itemId) === item.id);

const total = (drills: readonly RunDrill[]) => drills.reduce((sum, d) => sum + d.plannedSeconds, 0);

function changeOf(item: PlanItem, before: RunDrill[], after: RunDrill[]): string | null {
  if (before.length === 0 && after.length === 0) return null;
  if (after.length === 0) return `${item.name} left out`;
  if (before.length === 0) return `${item.name} comes back`;
  if (total(before) === total(after)) return null;
  const [was, is] = [levelOf(item, before), levelOf(item, after)];
  const change = was && is && item.dose.kind !== "ladder" ? describeChange(was, is, "was") : "";
  if (change) return `${item.name} ${change}`;
  if (before.length !== after.length) return `${item.name} ${after.length} rungs (was ${before.length})`;
  return `${item.name} ${formatLength(total(after))} (was ${formatLength(total(before))})`;
}

function levelOf({ dose }: PlanItem, [first]: readonly RunDrill[]): DoseLevel | undefined {
  return first?.level === undefined ? undefined : levelsOf(dose)[first.level];
}

/** Whether the ladders that change still come to their tops. */
function tops(items: readonly PlanItem[], before: readonly RunDrill[], after: readonly RunDrill[]): string {
  const ladders = items.filter(
    (i) => i.dose.kind === "ladder" && total(stepsFor(i, before)) !== total(stepsFor(i, after)),
  );
  if (ladders.length !== 1) return "";
  const [ladder] = ladders as [PlanItem];
  const top = (drills: readonly RunDrill[]) => stepsFor(ladder, drills).at(-1)?.intensity;
  const [was, is] = [top(before), top(after)];
  if (is === undefined || was === undefined) return "";
  return was === is ? "The ladder keeps its top." : `The ladder now ends at ${is} %.`;
}

/** Less of a difference in a wait is not worth a word, seconds. */
const NOTABLE = 30;

/** When nothing but the wait before the start changes. */
export function waitLine(gap: number): string {
  if (Math.abs(gap) < NOTABLE) return "";
  return `Only the wait before the start changes: ${spokenLength(Math.abs(gap))} ${gap > 0 ? "longer" : "shorter"}.`;
}

/** A wait at least so much longer than before is named whatever else changes, seconds (custom). */
const LONG = 120;

/** The longest of the waits in between that are new, or much longer than they were. */
function longWait(before: readonly RunDrill[], after: readonly RunDrill[]): string {
  const was = new Map(before.filter((d) => d.wait).map((d) => [stepKey(d), d.plannedSeconds]));
  const longer = after.flatMap((d, n) => {
    const next = after[n + 1];
    if (!d.wait || !next || d.plannedSeconds - (was.get(stepKey(d)) ?? 0) < LONG) return [];
    return [{ seconds: d.plannedSeconds, before: next.name }];
  });
  const [longest] = longer.sort((a, b) => b.seconds - a.seconds);
  return longest ? `${spokenLength(longest.seconds)} to wait before ${longest.before}.` : "";
}

/** When no drill changes, what does: how long is waited. */
function waits(before: readonly RunDrill[], after: readonly RunDrill[], changes: readonly string[]): string {
  const waiting = (drills: readonly RunDrill[]) => total(drills.filter((d) => d.wait));
  const gap = waiting(after) - waiting(before);
  // A long one is named by itself.
  if (changes.length > 0 || Math.abs(gap) < NOTABLE || longWait(before, after)) return "";
  return gap > 0
    ? `${spokenLength(gap)} more to wait in between.`
    : `${spokenLength(-gap)} less to wait in between.`;
}
