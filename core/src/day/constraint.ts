import { MINUTE_SECONDS } from "../time/units";
import { wallClock, zonedInstant } from "../time/zone";
import type { DayStep, Edge } from "./step";

/** Which lengths of a day's steps count: the usual ones, or those of a bad day. */
export type DayVersion = "usual" | "bad";

/** A day as it is counted back from its start. */
export interface DayFrame {
  /** ISO 8601. */
  startsAt: string;
  /** IANA name of the venue's zone. */
  zone: string;
  /** How long before the start the warm-up begins, whole seconds, as it is fitted. */
  warmUpSeconds: number;
  steps: readonly DayStep[];
}

/** Why two moments have to lie so. */
export type DayReason =
  /** The order of the list: this step is over before that one begins. */
  | { kind: "order"; step: string; next: string }
  /** A rule of a step, by its place in its list. */
  | { kind: "rule"; step: string; rule: number }
  /** The warm-up begins when it is fitted to begin. */
  | { kind: "fitted"; step: string };

/**
 * `later` begins at least so many seconds after `earlier` does. Steps are named by their place in the list; the start's
 * place stands for the moment of the start.
 */
export interface DayConstraint {
  earlier: number;
  later: number;
  leastSeconds: number;
  why: DayReason;
}

/** How long a step takes in a version of the day, whole seconds. */
export function secondsOf({ minutes }: DayStep, version: DayVersion): number {
  return MINUTE_SECONDS * (version === "bad" ? (minutes.bad ?? minutes.usual) : minutes.usual);
}

/** The place of the start in a day's list; -1 where there is none. */
export const startOf = (steps: readonly DayStep[]): number => steps.findIndex((s) => s.kind === "start");

/**
 * Everything that has to hold in a day, as differences between the beginnings of its steps.
 * @throws RangeError where a rule names a step that is not there; a day that was read has none
 */
export function constraintsOf(day: DayFrame, version: DayVersion): DayConstraint[] {
  const { steps, warmUpSeconds } = day;
  const start = startOf(steps);
  const long = (i: number): number => {
    const step = steps[i] as DayStep;
    // The warm-up lasts until the start, as it is fitted.
    return step.kind === "warm-up" ? warmUpSeconds : secondsOf(step, version);
  };
  const after = (i: number, edge: Edge) => (edge === "end" ? long(i) : 0);
  const places = new Map(steps.map((s, i) => [s.id, i]));
  const placeOf = (id: string): number => {
    const i = places.get(id);
    if (i === undefined) throw new RangeError(`There is no step “${id}”.`);
    return i;
  };
  const clocks = new Map<string, number>();
  const clockAt = (onDay: number, time: string): number => {
    const key = `${onDay} ${time}`;
    const seconds = clocks.get(key) ?? clockSeconds(day, onDay, time);
    clocks.set(key, seconds);
    return seconds;
  };
  const found: DayConstraint[] = [];
  const add = (earlier: number, later: number, leastSeconds: number, why: DayReason) =>
    found.push({ earlier, later, leastSeconds, why });

  const inLine = steps.flatMap((step, i) => (step.beside ? [] : [i]));
  inLine.forEach((i, n) => {
    const next = inLine[n + 1];
    if (next === undefined) return;
    const [step, nextStep] = [steps[i] as DayStep, steps[next] as DayStep];
    add(i, next, long(i), { kind: "order", step: step.id, next: nextStep.id });
  });
  steps.forEach((step, i) => {
    if (step.kind === "warm-up") {
      add(i, start, warmUpSeconds, { kind: "fitted", step: step.id });
      add(start, i, -warmUpSeconds, { kind: "fitted", step: step.id });
    }
    step.rules.forEach((rule, n) => {
      const why: DayReason = { kind: "rule", step: step.id, rule: n };
      if (rule.kind === "straight-before") {
        const of = placeOf(rule.of);
        add(i, of, long(i), why);
        add(of, i, -long(i), why);
      } else if (rule.kind === "before") {
        const of = placeOf(rule.of);
        const [own, others] = [after(i, rule.edge), after(of, rule.ofEdge)];
        add(i, of, rule.leastMinutes * MINUTE_SECONDS + own - others, why);
        if (rule.mostMinutes !== undefined) add(of, i, others - own - rule.mostMinutes * MINUTE_SECONDS, why);
      } else {
        const own = after(i, rule.edge);
        if (rule.notBefore) add(start, i, clockAt(rule.day, rule.notBefore) - own, why);
        if (rule.notAfter) add(i, start, own - clockAt(rule.day, rule.notAfter), why);
      }
    });
  });
  return found;
}

/** When the venue's clock shows a time so many days from the day of the start, seconds from the start. */
function clockSeconds({ startsAt, zone }: DayFrame, day: number, time: string): number {
  const date = dateAt(startsAt, zone, day);
  return Math.round((Date.parse(zonedInstant(date, time, zone).instant) - Date.parse(startsAt)) / 1000);
}

/** The calendar's day at the venue, so many days from that of an instant. */
function dateAt(instant: string, zone: string, days: number): string {
  const { date } = wallClock(instant, zone);
  return new Date(Date.parse(`${date}T00:00:00.000Z`) + days * 86_400_000).toISOString().slice(0, 10);
}
