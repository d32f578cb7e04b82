import { spokenLength } from "../time/clock";
import type { DayConstraint, DayFrame, DayReason, DayVersion } from "./constraint";
import { secondsOf } from "./constraint";
import type { DayContradiction } from "./contradiction";
import type { DayStep } from "./step";

const named = ({ name }: Pick<DayStep, "name">) => `“${name}”`;

/** Why two moments have to lie so, in a sentence without its full stop. */
export function reasonWords(day: DayFrame, why: DayReason, version: DayVersion): string {
  const stepOf = (id: string) => day.steps.find((s) => s.id === id) as DayStep;
  const step = stepOf(why.step);
  const long = step.kind === "warm-up" ? day.warmUpSeconds : secondsOf(step, version);
  if (why.kind === "fitted") return `${named(step)} begins ${spokenLength(long)} before the start`;
  if (why.kind === "order")
    return `${named(step)} takes ${spokenLength(long)} and comes before ${named(stepOf(why.next))}`;
  const rule = step.rules[why.rule];
  if (!rule) return named(step);
  if (rule.kind === "straight-before")
    return `${named(step)} takes ${spokenLength(long)} and ends when ${named(stepOf(rule.of))} begins`;
  if (rule.kind === "clock") {
    const days = DAYS[rule.day + 2];
    const parts = [
      rule.notBefore ? `not before ${rule.notBefore}` : "",
      rule.notAfter ? `not after ${rule.notAfter}` : "",
    ].filter(Boolean);
    return `${named(step)} ${rule.edge}s ${parts.join(" and ")}${days}`;
  }
  const of = `before ${named(stepOf(rule.of))} ${rule.ofEdge}s`;
  const least = spokenLength(rule.leastMinutes * 60);
  const most = rule.mostMinutes === undefined ? null : spokenLength(rule.mostMinutes * 60);
  if (most === null) return `${named(step)} ${rule.edge}s at least ${least} ${of}`;
  return `${named(step)} ${rule.edge}s ${least === most ? least : `${least} to ${most}`} ${of}`;
}

/** Days from the day of the start, from two before it. */
const DAYS = [" two days before", " the day before", "", " the day after", " two days after"];

/** What cannot hold together, and how much would have to give. */
export function contradictionWords(
  day: DayFrame,
  { constraints, missingSeconds }: DayContradiction,
  version: DayVersion,
): string {
  const said = [...new Set(constraints.map((c: DayConstraint) => reasonWords(day, c.why, version)))];
  return `These cannot hold together, by ${spokenLength(missingSeconds)}: ${said.join("; ")}.`;
}
