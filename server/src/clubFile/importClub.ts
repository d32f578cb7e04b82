import type { ClubFile } from "@tonodrome/core/api";
import type { Transaction } from "sequelize";
import type { Database } from "../db/connect";
import { Refusal } from "../errors";

/** Rows written with one statement. */
const TOGETHER = 500;

/**
 * Fills an empty club with an exported one, ids and all, within a transaction: all of it or nothing.
 * @throws Refusal `not_empty` when anything is in the club already
 */
export async function importClub(
  { models }: Database,
  clubId: string,
  file: ClubFile,
  transaction: Transaction,
): Promise<void> {
  const { Athlete, Drill, EventType, Template, Start, Plan, PlanEdit, Run, RunEvent } = models;
  for (const model of [Athlete, Drill, EventType, Template, Start, Run]) {
    if ((await (model as typeof Athlete).count({ where: { clubId }, transaction })) > 0) {
      throw new Refusal(
        "not_empty",
        "There is something in this club already. Import into a new, empty club.",
      );
    }
  }
  const inClub = <T extends object>(rows: readonly T[]) => rows.map((row) => ({ clubId, ...row }));
  await models.Club.update({ name: file.name }, { where: { id: clubId }, transaction });
  await inChunks(inClub(file.athletes), (rows) => Athlete.bulkCreate(rows, { transaction }));
  await inChunks(
    inClub(file.drills).map((drill) => ({ ...drill, changedAt: new Date(drill.changedAt) })),
    (rows) => Drill.bulkCreate(rows, { transaction }),
  );
  await inChunks(
    inClub(file.events).map(({ clubId: of, id, version, archived, name, ...body }) => ({
      clubId: of,
      id,
      version,
      archived,
      name,
      body,
    })),
    (rows) => EventType.bulkCreate(rows, { transaction }),
  );
  await inChunks(
    inClub(file.templates).map((template) => ({ ...template, createdAt: new Date(template.createdAt) })),
    (rows) => Template.bulkCreate(rows, { transaction }),
  );
  await inChunks(
    inClub(file.starts).map(({ plan, ...start }) => ({
      ...start,
      startsAt: new Date(start.startsAt),
      readyAt: new Date(start.readyAt),
      listedAt: start.listedAt ? new Date(start.listedAt) : null,
    })),
    (rows) => Start.bulkCreate(rows, { transaction }),
  );
  const plans = file.starts.map(({ id, plan }) => ({ startId: id, ...plan }));
  await inChunks(
    inClub(plans).map(({ edits, ...plan }) => plan),
    (rows) => Plan.bulkCreate(rows, { transaction }),
  );
  const edits = plans.flatMap((plan) =>
    plan.edits.map((e) => ({ ...e, planId: plan.id, at: new Date(e.at) })),
  );
  await inChunks(inClub(edits), (rows) => PlanEdit.bulkCreate(rows, { transaction }));
  await inChunks(
    inClub(file.runs).map(({ events, ...run }) => ({
      ...run,
      startsAt: new Date(run.startsAt),
      createdAt: new Date(run.createdAt),
    })),
    (rows) => Run.bulkCreate(rows, { transaction }),
  );
  const events = file.runs.flatMap((run) =>
    run.events.map((event) => ({ runId: run.id, id: event.id, event })),
  );
  await inChunks(inClub(events), (rows) => RunEvent.bulkCreate(rows, { transaction }));
}

async function inChunks<T>(rows: readonly T[], write: (rows: T[]) => Promise<unknown>): Promise<void> {
  for (let i = 0; i < rows.length; i += TOGETHER) await write(rows.slice(i, i + TOGETHER));
}
