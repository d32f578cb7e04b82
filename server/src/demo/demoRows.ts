import { randomUUID } from "node:crypto";
import {
  DAY_MS,
  drillContent,
  emptyPlan,
  type Fit,
  fitPlan,
  MINUTE_MS,
  noProfile,
  type PlanBody,
  type RunEvent,
  runPlanOf,
  runSummary,
  type Setting,
  shelfOrigin,
  usualSetting,
  wallClock,
  zonedInstant,
} from "@tonodrome/core";
import { demoProfiles } from "./athletes";
import { demoInstead } from "./details";
import { demoDrills } from "./drills";
import { demoEvents } from "./events";
import { type DemoStart, demoAthletes, demoStarts, demoVenue, demoWays, ICE_MINUTES } from "./scenario";

/** A week of competitions and trial runs is in the log. */
const DAYS_OF_LOG = 7;

/** What of the demo is the same whenever it is laid: ids are unique within a club only, so they may be. */
interface Prepared {
  drills: ReturnType<typeof prepareDrills>;
  events: { id: string; name: string; body: Omit<(typeof demoEvents)[number], "name"> }[];
  /** Ids of athletes by their names. */
  athletes: Map<string, string>;
  starts: Map<DemoStart, { body: PlanBody; fit: Fit }>;
}

let prepared: Prepared | null = null;

/** Computes once what takes long, the fits of the log, so that laying a demo is only writing it. */
export function prepareDemo(): Prepared {
  if (prepared) return prepared;
  const drills = prepareDrills();
  const starts = new Map(
    demoStarts.map((start) => {
      const body = planBody(start, drills);
      return [start, { body, fit: fitPlan(body, start.availableMinutes * 60) }];
    }),
  );
  prepared = {
    drills,
    events: demoEvents.map(({ name, ...body }) => ({ id: randomUUID(), name, body })),
    athletes: new Map(demoAthletes.map((name) => [name, randomUUID()])),
    starts,
  };
  return prepared;
}

/** The rows of a demo club as it is at a moment: shelf, skaters, a week of log, and a day that begins within the hour. */
export function demoRows(clubId: string, now: Date, zone = Intl.DateTimeFormat().resolvedOptions().timeZone) {
  const { drills, events, athletes } = prepareDemo();
  const profiles = demoProfiles(new Map(events.map((e) => [e.name, e.id])), now);
  const begins = Math.ceil(now.getTime() / MINUTE_MS) * MINUTE_MS;
  const day = demoStarts.map((start) =>
    startRows(clubId, start, start.title, new Date(begins + start.inMinutes * MINUTE_MS), zone),
  );
  const log = Array.from({ length: DAYS_OF_LOG }, (_, i) => logged(clubId, DAYS_OF_LOG - i, now, zone));
  return {
    drills: drills.map((drill) => ({ clubId, ...drill })),
    events: events.map((event) => ({ clubId, version: 1, archived: false, ...event })),
    athletes: [...athletes].map(([name, id]) => ({
      id,
      clubId,
      name,
      profile: profiles[name] ?? noProfile(),
    })),
    starts: [...log.map((l) => l.start), ...day.map((d) => d.start)],
    plans: [...log.map((l) => l.plan), ...day.map((d) => d.plan)],
    runs: log.map((l) => l.run),
    presses: log.flatMap((l) => l.presses),
    /** Starts of the day, soonest first. */
    day: day.map((d) => d.start),
  };
}

function prepareDrills() {
  const ids = new Map(demoDrills.map((drill) => [drill.name, randomUUID()]));
  const instead = new Map(demoInstead);
  return demoDrills.map(({ details, ...drill }) => {
    const other = ids.get(instead.get(drill.name) ?? "") ?? null;
    const known = details ? { details: { ...details, instead: other } } : {};
    return { ...drill, ...known, id: ids.get(drill.name) as string };
  });
}

function planBody(start: DemoStart, shelf: Prepared["drills"]): PlanBody {
  const items = start.drills.map((name) => {
    const drill = shelf.find((d) => d.name === name);
    if (!drill) throw new Error(`The demo names a drill that is not on its shelf: ${name}`);
    const { id, ...content } = drill;
    return { id: randomUUID(), ...shelfOrigin({ id, version: 1 }), ...drillContent(content) };
  });
  return { ...emptyPlan(), items, wait: start.wait };
}

function startRows(clubId: string, start: DemoStart, title: string, startsAt: Date, zone: string) {
  const { events, athletes, starts } = prepareDemo();
  const event = events.find((e) => e.name === start.event);
  const id = randomUUID();
  return {
    start: {
      id,
      clubId,
      version: 1,
      athleteId: athletes.get(start.athlete) as string,
      title,
      venue: demoVenue,
      zone,
      startsAt,
      readyAt: new Date(startsAt.getTime() - start.availableMinutes * MINUTE_MS),
      listedAt: null,
      eventId: event?.id ?? null,
      setting: settingOf(start, startsAt, event?.body.places ?? []),
    },
    plan: {
      id: randomUUID(),
      clubId,
      startId: id,
      version: 1,
      body: (starts.get(start) as { body: PlanBody }).body,
    },
  };
}

function settingOf(start: DemoStart, startsAt: Date, places: readonly string[]): Setting {
  const setting = {
    ...usualSetting(),
    temperature: 12,
    layers: true,
    order: start.order,
    kitReady: start.kitReady,
  };
  if (start.iceMinutesBefore === undefined) return setting;
  const opens = startsAt.getTime() - start.iceMinutesBefore * MINUTE_MS;
  const window = {
    opens: new Date(opens).toISOString(),
    closes: new Date(opens + ICE_MINUTES * MINUTE_MS).toISOString(),
    room: "all" as const,
    turns: 1,
  };
  return {
    ...setting,
    places: places.map((name) => ({ name, windows: name === "Ice" ? [window] : [] })),
    travel: demoWays,
  };
}

/** A day of the log, a little off its plan in a way that does not change from time to time. */
function logged(clubId: string, daysAgo: number, now: Date, zone: string) {
  const demoStart = demoStarts[daysAgo % demoStarts.length] as DemoStart;
  // From ten in the morning to four in the afternoon where the demo is.
  const { date } = wallClock(new Date(now.getTime() - daysAgo * DAY_MS).toISOString(), zone);
  const startsAt = new Date(zonedInstant(date, `${9 + daysAgo}:00`, zone).instant);
  const title = `Trial run, ${demoStart.title.toLowerCase()}`;
  const { start, plan: planRow } = startRows(clubId, demoStart, title, startsAt, zone);
  const { fit } = prepareDemo().starts.get(demoStart) as { fit: Fit };
  const plan = runPlanOf(fit, startsAt.toISOString());
  const beganAt = startsAt.getTime() + fit.beginSeconds * 1000;
  const events = pressesOf(plan.drills, beganAt, daysAgo, startsAt.getTime());
  const runId = randomUUID();
  return {
    start,
    plan: planRow,
    run: {
      id: runId,
      clubId,
      startId: start.id,
      athleteId: start.athleteId,
      athleteName: demoStart.athlete,
      title,
      venue: demoVenue,
      zone: start.zone,
      startsAt,
      plan,
      createdAt: new Date(beganAt),
      presses: events.length,
      pressBytes: JSON.stringify(events).length,
      summary: runSummary(plan, events),
      summed: events.length,
    },
    presses: events.map((event) => ({ id: event.id, clubId, runId, event })),
  };
}

/** The presses of an ordinary run: most drills a little long, some short, one skipped now and then. */
function pressesOf(
  drills: readonly { plannedSeconds: number }[],
  beganAt: number,
  seed: number,
  startsAt: number,
): RunEvent[] {
  let at = beganAt;
  const press = (kind: "begin" | "done" | "skip" | "end", when: number): RunEvent => ({
    id: randomUUID(),
    at: new Date(when).toISOString(),
    kind,
  });
  const events = [press("begin", at)];
  drills.forEach((drill, i) => {
    const skipped = (seed * 7 + i * 5) % 23 === 0 && i > 2;
    const share = skipped ? 0.1 : 0.9 + (((seed * 13 + i * 29) % 11) * 3) / 100;
    at += Math.round(drill.plannedSeconds * share) * 1000;
    events.push(press(skipped ? "skip" : "done", at));
  });
  return [...events, press("end", Math.max(at, startsAt))];
}
