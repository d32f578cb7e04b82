import { randomUUID } from "node:crypto";
import { MOST, type ShelfTableInput } from "@tonodrome/core/api";
import type { DrillNews } from "@tonodrome/core/tables";
import type { Transaction } from "sequelize";
import { checkQuota } from "../access/quota";
import { contentOf } from "../answers/drill";
import type { Database } from "../db/connect";
import { Refusal } from "../errors/refusal";
import type { Asked, Threads } from "../threads/threads";
import { lockLinks } from "./lockLinks";
import { updateRows } from "./updateRows";

type Comparing = Database & { threads: Threads };

/** Compares a table of drills with the club's shelf; where it is to be taken, nobody else writes links meanwhile. */
export async function compareWithShelf(
  { models, sequelize, threads }: Comparing,
  clubId: string,
  { drills }: ShelfTableInput,
  transaction: Transaction | null,
  how: Asked,
): Promise<DrillNews[]> {
  if (transaction) await lockLinks({ sequelize }, clubId, transaction);
  const rows = await models.Drill.findAll({
    where: { clubId },
    order: ["name", "id"],
    limit: MOST.drills,
    transaction,
    // What is taken is what is compared: nobody changes a drill between the two.
    ...(transaction ? { lock: true } : {}),
  });
  const shelf = rows.map((row) => ({ id: row.id, archived: row.archived, content: contentOf(row) }));
  return threads.do("compareShelf", [drills, shelf], how);
}

/**
 * Takes a table as it was compared, within one transaction: all of it or nothing.
 * @returns how many drills were made and changed
 * @throws Refusal `invalid_input` with the first fault, `full`
 */
export async function takeShelfTable(
  database: Database,
  clubId: string,
  news: readonly DrillNews[],
  transaction: Transaction,
): Promise<{ made: number; changed: number }> {
  const { models } = database;
  news.forEach((row, i) => {
    if (row.state === "fault") throw new Refusal("invalid_input", row.message, { path: `drills.${i}` });
  });
  const fresh = news.flatMap((row) => (row.state === "new" ? [row.drill] : []));
  if (fresh.length > 0)
    await checkQuota(database, models.Drill, "drills", clubId, { clubId }, transaction, fresh.length);
  await models.Drill.bulkCreate(
    fresh.map((drill) => ({ id: randomUUID(), clubId, ...drill })),
    { transaction },
  );
  // They are as they were compared: they have been locked since.
  const changed = news.flatMap((row) => (row.state === "changed" ? [row] : []));
  const changedAt = new Date();
  await updateRows(
    database,
    models.Drill,
    clubId,
    changed.map(({ id, drill }) => ({
      ...{ id, ...drill, details: drill.details ?? null },
      ...{ archived: false, changedAt },
    })),
    transaction,
  );
  return { made: fresh.length, changed: changed.length };
}
