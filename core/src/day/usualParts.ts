import { usualCoolDown } from "../coolDown/usualCoolDown";
import type { EventType } from "../event/eventType";
import type { DayStep } from "./step";

/** Figures of the usual day, minutes. All custom: coaches' habits, to be changed for an athlete or an event. */
export const USUAL = {
  /** Drinking begins so long before the start: little and often, no amounts. */
  drink: 12 * 60,
  pack: 20,
  /** The least that a night asks. */
  sleep: 8 * 60,
  wash: 30,
  /** Awake so long before the warm-up; where the night leaves less, so long at the least. */
  awake: { long: 180, short: 90 },
  /** The main meal is over so long before the warm-up; a snack. */
  meal: { long: 30, before: 180 },
  snack: { long: 10, before: 60 },
  /** Where the main meal begins so long after getting up. */
  breakfast: { long: 20, from: 180 },
  midday: { long: 30, from: 480 },
  /** There so long before the start. */
  arrive: 90,
  settle: 10,
  /** Dry clothes, a drink. */
  change: 10,
  /** Between two starts: so long before the warm-up there is a meal, else a snack; a rest before it. */
  between: { meal: 120, snack: 40, rest: 20 },
  /** Until equipment has the hall's temperature. */
  kit: 30,
};

/** A rule: so long before another step begins. */
export const before = (edge: "begin" | "end", leastMinutes: number, of: string) =>
  ({ kind: "before", edge, leastMinutes, ofEdge: "begin", of }) as const;

/** What the event has fixed before its start. */
export const points = (event: EventType | null) =>
  (event?.fixedPoints ?? []).map(
    (point, i): Partial<DayStep> => ({
      ...{ id: `point-${i + 1}`, name: point.name, kind: "call", minutes: { usual: point.minutesLong } },
      ...{ beside: true, place: point.place ?? "" },
      rules: [{ ...before("begin", point.minutesBefore, "start"), mostMinutes: point.minutesBefore }],
    }),
  );

/** The start and what follows it. */
export function fromStart(event: EventType | null): Partial<DayStep>[] {
  const eventMinutes = Math.ceil((event?.lengthSeconds ?? 0) / 60);
  const { minutes, note } = usualCoolDown(event?.effort ?? null);
  return [
    {
      ...{ id: "start", name: event?.name ?? "Start", kind: "start", minutes: { usual: eventMinutes } },
      note: "Safe options first.",
    },
    {
      ...{ id: "cool-down", name: "Cool down", kind: "cool-down" },
      ...{ minutes: { usual: minutes.usual }, note },
    },
    { id: "change", name: "Dry clothes, a drink", kind: "change", minutes: { usual: USUAL.change } },
  ];
}
