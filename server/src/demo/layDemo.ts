import { randomUUID } from "node:crypto";
import type { Transaction } from "sequelize";
import type { Database } from "../db/connect";
import { Refusal } from "../errors/refusal";
import { PURGE_DEMOS } from "../upkeep/purge";
import { demoRows } from "./demoRows";
import { peopleRows } from "./people";
import { demoClub } from "./scenario";

/** Visitors who come at once take turns, so that there are never more than so many. */
const DEMO_LOCK = 7_310_553;

/**
 * Lays a demo club for one visitor, with people of its own: whoever opens it is alone in it, and it is cleared after a
 * day.
 * @param now times are relative to this
 * @param most demo clubs there may be at once
 * @returns the visitor's user id
 * @throws Refusal `too_many`
 */
export async function layDemo(
  database: Database,
  now: Date,
  most: number,
  transaction: Transaction,
): Promise<string> {
  const { sequelize, models } = database;
  await sequelize.query(`SELECT pg_advisory_xact_lock(${DEMO_LOCK})`, { transaction });
  const count = () => models.Club.count({ where: { demo: true }, transaction });
  if ((await count()) >= most) {
    for (const statement of PURGE_DEMOS) await sequelize.query(statement, { transaction });
    if ((await count()) >= most) {
      throw new Refusal(
        "too_many",
        "As many demos are open as this server has room for. Try again later, or make an account.",
        {},
        600,
      );
    }
  }
  const id = randomUUID();
  const rows = demoRows(id, now);
  const { users, members, trail } = peopleRows(id, rows.athletes, rows.day, now);
  await models.Club.create({ id, name: demoClub, demo: true }, { transaction });
  await models.Drill.bulkCreate(rows.drills, { transaction });
  await models.EventType.bulkCreate(rows.events, { transaction });
  await models.Athlete.bulkCreate(rows.athletes, { transaction });
  await models.Start.bulkCreate(rows.starts, { transaction });
  await models.Plan.bulkCreate(rows.plans, { transaction });
  await models.Run.bulkCreate(rows.runs, { transaction });
  await models.RunEvent.bulkCreate(rows.presses, { transaction });
  await models.User.bulkCreate(users, { transaction });
  await models.Member.bulkCreate(members, { transaction });
  await models.AuditEntry.bulkCreate(trail, { transaction });
  return (users[0] as { id: string }).id;
}

/** Takes every demo away, with its visitors. Other clubs are left alone. */
export async function clearDemos({ models }: Database): Promise<void> {
  await models.Club.destroy({ where: { demo: true } });
  await models.User.destroy({ where: { demo: true } });
}
