// What grows how: rows and bytes for one warm-up that was planned, edited, run and logged, and for an athlete's season.
// Part of `npm run bench:server`.
import { randomUUID } from "node:crypto";
import { fitPlan, openDay, type PlanBody, type RunEvent, runPlanOf } from "@tonodrome/core";
import type { StarterShelf } from "@tonodrome/core/starter";
import { QueryTypes } from "sequelize";
import { benchPlan } from "../../core/bench/plans";
import { connect } from "../src/db/connect";
import { migrate } from "../src/db/migrate";
import { shippedStarters } from "../src/starters/shipped";
import { starterDrills } from "../src/starters/starterDrills";

const STARTS = 400;
const DRILLS = 14;
/** Saves of one warm-up before it is run: it saves itself at every pause while it is being built. */
const EDITS = 25;
/** Starts and training sessions of one athlete that are planned and run in a year. */
const SEASON = 150;
/** Presses of a run: begin, one for each drill, two holds, an undo, the end. */
const presses = (drills: number) => drills + 6;

const database = connect(process.env.DATABASE_URL as string);
const { sequelize, models } = database;
await migrate(process.env.DATABASE_URL as string);
const clubId = randomUUID();
const athleteId = randomUUID();
await models.Club.create({ id: clubId, name: "Growth", demo: false });
await models.Athlete.create({ id: athleteId, clubId, name: "Growth" });
const bare = benchPlan(DRILLS);
// Drills of a starter shelf, with everything that is known of them.
const shelf = starterDrills(shippedStarters("server/starters")[1] as StarterShelf);
const body = {
  ...bare,
  items: bare.items.map((item, i) => ({ ...item, details: shelf[i % shelf.length]?.details })),
} as PlanBody;
const background = { plan: body, context: openDay() };
const plan = runPlanOf(fitPlan(body, 3600), "2098-06-01T12:30:00.000Z", background);
const sizes = async () =>
  sequelize.query<{ name: string; bytes: string }>(
    `SELECT relname AS name, pg_total_relation_size(oid) AS bytes FROM pg_class
      WHERE relnamespace = 'public'::regnamespace AND relkind = 'r' ORDER BY 1`,
    { type: QueryTypes.SELECT },
  );
const before = new Map((await sizes()).map((t) => [t.name, Number(t.bytes)]));

const about = { title: "Free skate", venue: "Hall", zone: "UTC", startsAt: new Date(), readyAt: new Date() };
for (let i = 0; i < STARTS; i++) {
  const [startId, planId, runId] = [randomUUID(), randomUUID(), randomUUID()];
  await models.Start.create({ id: startId, clubId, version: 3, athleteId, ...about });
  await models.Plan.create({ id: planId, clubId, startId, version: EDITS + 1, body });
  await models.PlanEdit.bulkCreate(
    Array.from({ length: EDITS }, (_, n) => ({
      clubId,
      planId,
      version: n + 2,
      outcome: "saved" as const,
      body,
    })),
  );
  const { readyAt: _, ...rest } = about;
  await models.Run.create({ id: runId, clubId, startId, athleteId, athleteName: "Growth", ...rest, plan });
  const events = Array.from(
    { length: presses(plan.drills.length) },
    (): RunEvent => ({ id: randomUUID(), at: new Date().toISOString(), kind: "done" }),
  );
  await models.RunEvent.bulkCreate(events.map((event) => ({ id: event.id, clubId, runId, event })));
  await models.AuditEntry.bulkCreate(
    Array.from({ length: EDITS + 3 }, () => ({
      clubId,
      at: new Date(),
      userId: null,
      action: "plan.save",
      subjectId: planId,
      detail: { version: 2 },
    })),
  );
}

console.log(`\nwhat grows how: ${STARTS} warm-ups of ${DRILLS} drills, saved ${EDITS} times, run once`);
console.log(`  ${"".padEnd(16)}rows each   bytes each, indexes and all`);
let total = 0;
for (const { name, bytes } of await sizes()) {
  const grown = Number(bytes) - (before.get(name) ?? 0);
  const [row] = await sequelize.query<{ n: string }>(`SELECT count(*) AS n FROM "${name}"`, {
    type: QueryTypes.SELECT,
  });
  if (grown < 8192 * 4) continue;
  total += grown;
  const rows = Number(row?.n ?? 0) / STARTS;
  console.log(
    `  ${name.padEnd(16)}${rows.toFixed(0).padStart(9)}${(grown / STARTS).toFixed(0).padStart(13)}`,
  );
}
const each = total / STARTS;
console.log(`  ${"together".padEnd(16)}${"".padStart(9)}${each.toFixed(0).padStart(13)}`);
console.log(`  an athlete's season of ${SEASON}: ${((each * SEASON) / 1e6).toFixed(1)} MB`);
await models.Club.destroy({ where: { id: clubId } });
await sequelize.close();
