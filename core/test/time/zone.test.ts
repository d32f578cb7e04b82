import fc from "fast-check";
import { IANAZone } from "luxon";
import { DAY_MS, HOUR_MS, MINUTE_MS } from "../../src/time/units";
import { endOfDay, nearestInstant, wallClock, zonedInstant } from "../../src/time/zone";
import { cases } from "../made/cases";

/*
 * Every change of every zone's clock in ten years, by another library, and around each of them what the clock shows minute
 * by minute: what is asked of the zone's rules is looked up there, and nothing is computed.
 */

const FROM = Date.UTC(2020, 0, 1);
const TO = Date.UTC(2030, 0, 1);

const zones = Intl.supportedValuesOf("timeZone");
const offsetOf = (zone: IANAZone, at: number) => zone.offset(at) * MINUTE_MS;

/** When a zone's clock changes: found by looking every few days, and then ever closer. */
function changesOf(name: string): number[] {
  const zone = IANAZone.create(name);
  const found: number[] = [];
  for (let at = FROM; at < TO; at += 5 * DAY_MS) {
    let [low, high] = [at, at + 5 * DAY_MS];
    const offset = offsetOf(zone, low);
    if (offset === offsetOf(zone, high)) continue;
    while (high - low > MINUTE_MS) {
      const middle = low + Math.floor((high - low) / 2 / MINUTE_MS) * MINUTE_MS;
      if (offsetOf(zone, middle) === offset) low = middle;
      else high = middle;
    }
    found.push(high);
  }
  return found;
}

/** A night on which a zone's clock changes, and by what it is ahead of UTC before and after, milliseconds. */
interface Night {
  zone: string;
  change: number;
  before: number;
  after: number;
}

/** So many minutes before and after a change are looked through. */
const SPAN = 28 * 60;

/** What the clock shows so many minutes after the change, as if it were UTC. */
const shown = ({ change, before, after }: Night, minute: number) =>
  change + minute * MINUTE_MS + (minute < 0 ? before : after);

/** The minutes of a night, from its change on, at which something is shown, looked for one by one. */
function minutesOf(night: Night, is: (shown: number) => boolean, span = SPAN): number[] {
  const found: number[] = [];
  for (let minute = -span; minute <= span; minute++) if (is(shown(night, minute))) found.push(minute);
  return found;
}

/** Many zones change alike: what their clocks show is looked through once. */
function onceFor<A extends unknown[], R>(
  look: (night: Night, ...more: A) => R,
): (night: Night, ...more: A) => R {
  const known = new Map<string, R>();
  return (night, ...more) => {
    const key = JSON.stringify([night.change, night.before, night.after, ...more]);
    if (!known.has(key)) known.set(key, look(night, ...more));
    return known.get(key) as R;
  };
}

const nights: Night[] = zones.flatMap((zone) =>
  changesOf(zone).map((change) => {
    const luxon = IANAZone.create(zone);
    return { zone, change, before: offsetOf(luxon, change - MINUTE_MS), after: offsetOf(luxon, change) };
  }),
);
const iso = (at: number) => new Date(at).toISOString();
/** Minutes since midnight of what is shown. */
const minuteOf = (shown: number) => (((shown % DAY_MS) + DAY_MS) % DAY_MS) / MINUTE_MS;
/** Days since the epoch of what is shown. */
const dayOf = (shown: number) => Math.floor(shown / DAY_MS);
const dateOf = (shown: number) => iso(shown).slice(0, 10);
const timeOf = (shown: number) => iso(shown).slice(11, 16);

it("knows every zone, and many nights on which clocks change, by half an hour and by two hours among them", () => {
  expect(zones.length).toBeGreaterThan(400);
  expect(nights.length).toBeGreaterThan(2_000);
  const widths = new Set(nights.map(({ before, after }) => Math.abs(after - before) / MINUTE_MS));
  for (const width of [30, 60, 120]) expect(widths).toContain(width);
});

it.each([-180, -61, -60, -31, -1, 0, 1, 29, 59, 60, 119, 180])(
  "around every change of every zone: what the clock shows %d minutes from it comes as often as it is said to, and is read back",
  (minutes) => {
    const faults: unknown[] = [];
    for (const night of nights) {
      const { zone, change, before } = night;
      // On the clock as it was before the change, so that what is left out is asked for too.
      const asked = change + before + minutes * MINUTE_MS;
      const [first, ...more] = minutesOf(night, (s) => s === asked, 8 * 60);
      const { instant, kind } = zonedInstant(dateOf(asked), timeOf(asked), zone);
      const wanted = first === undefined ? "never" : more.length > 0 ? "twice" : "once";
      // What is left out stands as far after the change as it lies within that.
      const at = change + (first ?? minutes) * MINUTE_MS;
      if (kind !== wanted || instant !== iso(at)) faults.push([zone, iso(change), kind, instant]);
      const read = wallClock(instant, zone);
      if (first !== undefined && (read.date !== dateOf(asked) || read.time !== timeOf(asked)))
        faults.push([zone, iso(change), read]);
    }
    expect(faults).toEqual([]);
  },
);

/** The minutes at which a clock shows a time of day. */
const minutesShowing = onceFor((night, minuteOfDay: number) =>
  minutesOf(night, (s) => minuteOf(s) === minuteOfDay),
);

/** The minutes of a day later than one. */
const minutesAfterDay = onceFor((night, day: number) => minutesOf(night, (s) => dayOf(s) > day));

it("the nearest moment at which a clock shows a time is the nearest there is, on both nights of the year", () => {
  const faults: unknown[] = [];
  for (const night of nights) {
    const { zone, change } = night;
    for (const [around, ahead] of [
      [-90, 55],
      [-30, 45],
      [-10, 20],
      [5, -15],
      [30, -20],
      [45, 60],
      [90, -100],
      [300, -290],
      [-600, 590],
    ] as const) {
      const at = change + around * MINUTE_MS;
      const asked = shown(night, around) + ahead * MINUTE_MS;
      const all = minutesShowing(night, minuteOf(asked));
      const nearest = Math.min(...all.map((minute) => Math.abs(minute - around))) * MINUTE_MS;
      const found = Date.parse(nearestInstant(timeOf(asked), zone, iso(at)));
      const isShown = minuteOf(shown(night, (found - change) / MINUTE_MS)) === minuteOf(asked);
      // A time that is left out that night stands for the moment after it, and is nearer than another day's.
      const far = Math.abs(found - at);
      const isRight = isShown ? far === nearest : far < nearest;
      if (!isRight || far > 13 * HOUR_MS) faults.push([zone, iso(at), iso(found)]);
    }
  }
  expect(faults).toEqual([]);
});

it("moves a start by minutes and not by a day: the cases that were wrong", () => {
  // Set to ten minutes later on the night the clocks go back, before, within and after the hour that comes twice.
  for (const [around, time, minutes] of [
    ["2026-10-25T00:20:00.000Z", "02:30", 10],
    ["2026-10-25T01:20:00.000Z", "02:30", 10],
    ["2026-10-25T21:50:00.000Z", "23:00", 10],
    ["2026-03-29T00:50:00.000Z", "03:00", 10],
    ["2026-03-28T22:55:00.000Z", "00:05", 10],
    ["2026-03-29T21:55:00.000Z", "00:05", 10],
  ] as const) {
    const moved = Date.parse(nearestInstant(time, "Europe/Vienna", around)) - Date.parse(around);
    expect([around, moved / MINUTE_MS]).toEqual([around, minutes]);
  }
});

it("a day ends when the next one begins, also where midnight is left out or comes twice", () => {
  const faults: unknown[] = [];
  for (const night of nights) {
    const { zone, change } = night;
    for (const around of [-90, -1, 0, 90]) {
      const today = dayOf(shown(night, around));
      const later = minutesAfterDay(night, today);
      // Where the clock goes back over midnight the day is entered twice: it ends the first time.
      const ends = [later[0], later.find((minute) => minute > around)];
      const end = (Date.parse(endOfDay(iso(change + around * MINUTE_MS), zone)) - change) / MINUTE_MS;
      if (!ends.includes(end)) faults.push([zone, iso(change), around, end]);
    }
  }
  expect(faults).toEqual([]);
});

it("agrees with the other library on any minute of ten years in any zone", () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...zones),
      fc.integer({ min: FROM / MINUTE_MS, max: TO / MINUTE_MS }),
      (zone, minute) => {
        const at = minute * MINUTE_MS;
        const shown = at + offsetOf(IANAZone.create(zone), at);
        expect(wallClock(iso(at), zone)).toEqual({ date: dateOf(shown), time: timeOf(shown) });
        const { instant, kind } = zonedInstant(dateOf(shown), timeOf(shown), zone);
        if (kind === "once") expect(instant).toBe(iso(at));
        expect(wallClock(instant, zone)).toEqual({ date: dateOf(shown), time: timeOf(shown) });
      },
    ),
    cases(2_000),
  );
});
