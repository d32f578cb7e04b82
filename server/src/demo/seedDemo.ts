import { randomUUID } from "node:crypto";
import {
  drillContent,
  emptyPlan,
  fitPlan,
  type PlanBody,
  type RunEvent,
  runPlanOf,
  type Setting,
  usualSetting,
} from "@tonodrome/core";
import { Op, type Transaction } from "sequelize";
import type { Database } from "../db/connect";
import type { DrillRow } from "../db/models/rows";
import { toDrill } from "../resources/drills";
import { demoProfiles } from "./athletes";
import { demoInstead } from "./details";
import { demoDrills } from "./drills";
import { demoEvents } from "./events";
import { layPeople } from "./people";
import {
  type DemoStart,
  demoAthletes,
  demoClub,
  demoStarts,
  demoVenue,
  demoWays,
  ICE_MINUTES,
} from "./scenario";

const MINUTE = 60_000;
const DAY = 86_400_000;

/** Every server on one database takes turns, so that the demo is laid once. */
const DEMO_LOCK = 7_310_553;

/**
 * Fills an empty database with the demo club: shelf, skaters, a week of log, and a competition day that begins within
 * the hour. In a demo club whose starts are all over, lays the next competition day. Anything else is left alone: a
 * demo that was deleted while there are other clubs does not come back by itself.
 * @param now times are relative to this
 * @returns whether anything was added
 */
export function seedDemo(database: Database, now: Date): Promise<boolean> {
  const { models } = database;
  return inTurn(database, async (transaction) => {
    const club = await models.Club.findOne({ order: [["demo", "DESC"], "id"], transaction });
    if (!club) {
      await layClub(database, now, transaction);
      return true;
    }
    if (!club.demo) return false;
    // A demo from before there were accounts.
    if ((await models.Member.count({ where: { clubId: club.id }, transaction })) === 0) {
      await layPeople(database, club.id, now, transaction);
    }
    const ahead = await models.Start.count({
      where: { clubId: club.id, startsAt: { [Op.gt]: now } },
      transaction,
    });
    if (ahead > 0) return false;
    await layDay(models, club.id, now, transaction);
    return true;
  });
}

/** Takes the demo club away, with its people and everything in it, and lays it anew. Other clubs are left alone. */
export function resetDemo(database: Database, now: Date): Promise<void> {
  const { models } = database;
  return inTurn(database, async (transaction) => {
    await models.Club.destroy({ where: { demo: true }, transaction });
    await models.User.destroy({ where: { passwordHash: null }, transaction });
    await layClub(database, now, transaction);
  });
}

function inTurn<T>({ sequelize }: Database, lay: (transaction: Transaction) => Promise<T>): Promise<T> {
  return sequelize.transaction(async (transaction) => {
    await sequelize.query(`SELECT pg_advisory_xact_lock(${DEMO_LOCK})`, { transaction });
    return lay(transaction);
  });
}

async function layClub(database: Database, now: Date, transaction: Transaction): Promise<void> {
  const { models } = database;
  const clubId = randomUUID();
  await models.Club.create({ id: clubId, name: demoClub, demo: true }, { transaction });
  await layShelf(models, clubId, now, transaction);
  await layLog(models, clubId, now, transaction);
  await layDay(models, clubId, now, transaction);
  await layPeople(database, clubId, now, transaction);
}

type Models = Database["models"];

async function layShelf(models: Models, clubId: string, now: Date, transaction: Transaction): Promise<void> {
  const ids = new Map(demoDrills.map((drill) => [drill.name, randomUUID()]));
  const instead = new Map(demoInstead);
  await models.Drill.bulkCreate(
    demoDrills.map(({ details, ...drill }) => {
      const other = ids.get(instead.get(drill.name) ?? "") ?? null;
      const known = details ? { details: { ...details, instead: other } } : {};
      return { id: ids.get(drill.name) as string, clubId, ...drill, ...known };
    }),
    { transaction },
  );
  const events = demoEvents.map(({ name, ...body }) => ({ id: randomUUID(), name, body }));
  await models.EventType.bulkCreate(
    events.map((event) => ({ clubId, version: 1, archived: false, ...event })),
    { transaction },
  );
  const profiles = demoProfiles(new Map(events.map((e) => [e.name, e.id])), now);
  await models.Athlete.bulkCreate(
    demoAthletes.map((name) => ({
      id: randomUUID(),
      clubId,
      name,
      ...(profiles[name] ? { profile: profiles[name] } : {}),
    })),
    { transaction },
  );
}

async function layDay(models: Models, clubId: string, now: Date, transaction: Transaction): Promise<void> {
  const begins = Math.ceil(now.getTime() / MINUTE) * MINUTE;
  for (const start of demoStarts) {
    await layStart(models, clubId, start, new Date(begins + start.inMinutes * MINUTE), transaction);
  }
}

async function layStart(
  models: Models,
  clubId: string,
  start: DemoStart,
  startsAt: Date,
  transaction: Transaction,
): Promise<{ startId: string; athleteId: string; body: PlanBody }> {
  const [athlete] = await models.Athlete.findOrCreate({
    where: { clubId, name: start.athlete },
    defaults: { id: randomUUID(), clubId, name: start.athlete },
    transaction,
  });
  const shelf = await models.Drill.findAll({ where: { clubId }, transaction });
  const event = await models.EventType.findOne({ where: { clubId, name: start.event }, transaction });
  const body = planBody(start, shelf);
  const startId = randomUUID();
  await models.Start.create(
    {
      id: startId,
      clubId,
      version: 1,
      athleteId: athlete.id,
      title: start.title,
      venue: demoVenue,
      zone: Intl.DateTimeFormat().resolvedOptions().timeZone,
      startsAt,
      readyAt: new Date(startsAt.getTime() - start.availableMinutes * MINUTE),
      eventId: event?.id ?? null,
      setting: settingOf(start, startsAt, event?.body.places ?? []),
    },
    { transaction },
  );
  await models.Plan.create({ id: randomUUID(), clubId, startId, version: 1, body }, { transaction });
  return { startId, athleteId: athlete.id, body };
}

function settingOf(start: DemoStart, startsAt: Date, places: readonly string[]): Setting {
  const setting = { ...usualSetting(), temperature: 12, order: start.order, kitReady: start.kitReady };
  if (start.iceMinutesBefore === undefined) return setting;
  const opens = startsAt.getTime() - start.iceMinutesBefore * MINUTE;
  const window = {
    opens: new Date(opens).toISOString(),
    closes: new Date(opens + ICE_MINUTES * MINUTE).toISOString(),
    room: "all" as const,
    turns: 1,
  };
  return {
    ...setting,
    places: places.map((name) => ({ name, windows: name === "Ice" ? [window] : [] })),
    travel: demoWays,
  };
}

function planBody(start: DemoStart, shelf: readonly DrillRow[]): PlanBody {
  const items = start.drills.map((name) => {
    const drill = shelf.find((d) => d.name === name);
    if (!drill) throw new Error(`The demo names a drill that is not on its shelf: ${name}`);
    return { id: randomUUID(), drillId: drill.id, ...drillContent(toDrill(drill)) };
  });
  return { ...emptyPlan(), items, wait: start.wait };
}

/** A week of competitions and trial runs, each a little off its plan in a way that does not change from time to time. */
async function layLog(models: Models, clubId: string, now: Date, transaction: Transaction): Promise<void> {
  for (let daysAgo = 7; daysAgo >= 1; daysAgo--) {
    const start = demoStarts[daysAgo % demoStarts.length] as DemoStart;
    const startsAt = new Date(
      Math.floor(now.getTime() / DAY) * DAY - daysAgo * DAY + (9 + daysAgo) * 60 * MINUTE,
    );
    const { startId, athleteId, body } = await layStart(
      models,
      clubId,
      { ...start, title: `Trial run, ${start.title.toLowerCase()}` },
      startsAt,
      transaction,
    );
    const fit = fitPlan(body, start.availableMinutes * 60);
    const plan = runPlanOf(fit, startsAt.toISOString());
    const beganAt = startsAt.getTime() + fit.beginSeconds * 1000;
    const run = {
      id: randomUUID(),
      clubId,
      startId,
      athleteId,
      athleteName: start.athlete,
      title: `Trial run, ${start.title.toLowerCase()}`,
      venue: demoVenue,
      zone: Intl.DateTimeFormat().resolvedOptions().timeZone,
      startsAt,
      plan,
      createdAt: new Date(beganAt),
    };
    await models.Run.create(run, { transaction });
    const events = pressesOf(plan.drills, beganAt, daysAgo, startsAt.getTime());
    await models.RunEvent.bulkCreate(
      events.map((event) => ({ id: event.id, clubId, runId: run.id, event })),
      { transaction },
    );
  }
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
