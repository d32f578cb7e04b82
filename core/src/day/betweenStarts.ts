import { usualCoolDown } from "../coolDown/usualCoolDown";
import type { EventType } from "../event/eventType";
import { wallClock } from "../time/zone";
import type { DayFrame } from "./constraint";
import type { DayStep } from "./step";
import { fromStart, points, USUAL } from "./usualParts";

/** A start before another one of the same athlete's day. */
export interface PreviousStart {
  /** ISO 8601. */
  startsAt: string;
  /** Null where it is not known. */
  event: Pick<EventType, "effort" | "lengthSeconds"> | null;
}

/** When one is free after a start: event, cool-down and dry clothes over, milliseconds since the epoch. */
export function freeAfter({ startsAt, event }: PreviousStart): number {
  const minutes = usualCoolDown(event?.effort ?? null).minutes.usual + USUAL.change;
  return Date.parse(startsAt) + (event?.lengthSeconds ?? 0) * 1000 + minutes * 60_000;
}

/**
 * The day from one start to the next: food by the time there is (two hours and more a meal, less a snack, hardly any
 * nothing), rest, the re-warm, the start.
 */
export function stepsBetween(
  of: Omit<DayFrame, "steps"> & { event: EventType | null },
  freeAt: number,
): Partial<DayStep>[] {
  const { startsAt, zone, warmUpSeconds, event } = of;
  const { between, meal, snack } = USUAL;
  // Whole minutes of the clock: not before one is free.
  const from = Math.ceil(freeAt / 60_000) * 60_000;
  const here = wallClock(new Date(from).toISOString(), zone);
  const day = Math.round((Date.parse(here.date) - Date.parse(wallClock(startsAt, zone).date)) / 86_400_000);
  const minutes = (Date.parse(startsAt) - from) / 60_000 - warmUpSeconds / 60;
  const food =
    minutes >= between.meal
      ? { id: "meal", name: "Meal", long: meal.long }
      : minutes >= between.snack
        ? { id: "snack", name: "Snack", long: snack.long }
        : null;
  const rest = minutes - (food?.long ?? 0) >= between.rest ? between.rest : 0;
  return [
    ...(food
      ? [
          {
            ...{ id: food.id, name: food.name, kind: "eat" as const, minutes: { usual: food.long } },
            rules: [
              {
                kind: "clock" as const,
                edge: "begin" as const,
                day,
                notBefore: here.time,
                notAfter: here.time,
              },
            ],
          },
        ]
      : []),
    ...(rest > 0
      ? [
          {
            ...{ id: "rest", name: "Rest, warm and dry", kind: "rest" as const, minutes: { usual: rest } },
            rules: [{ kind: "straight-before" as const, of: "warm-up" }],
          },
        ]
      : []),
    ...points(event),
    { id: "warm-up", name: "Re-warm", kind: "warm-up", minutes: { usual: 0 } },
    ...fromStart(event),
  ];
}

/** Less than this between two starts is no night, whatever the calendar says, milliseconds. Custom. */
const NO_NIGHT = 6 * 3_600_000;

/** Whether two starts, ISO 8601, are one day of an athlete: by the calendar of the venue, or because there is no night between. */
export function isOneDay(one: string, other: string, zone: string): boolean {
  return (
    Math.abs(Date.parse(one) - Date.parse(other)) < NO_NIGHT ||
    wallClock(one, zone).date === wallClock(other, zone).date
  );
}

/** The start that an athlete has before another one of the same day at its venue; null where it is the first. */
export function previousStart<S extends { startsAt: string }>(
  start: { startsAt: string; zone: string },
  others: readonly S[],
): S | null {
  const { startsAt, zone } = start;
  const before = others.filter(
    (o) => Date.parse(o.startsAt) < Date.parse(startsAt) && isOneDay(o.startsAt, startsAt, zone),
  );
  return before.reduce<S | null>(
    (last, o) => (!last || Date.parse(o.startsAt) > Date.parse(last.startsAt) ? o : last),
    null,
  );
}
