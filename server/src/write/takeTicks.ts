import { mergeTicks, type Tick } from "@tonodrome/core/lists";
import type { Transaction } from "sequelize";
import { checkQuota } from "../access/quota";
import { toTick } from "../answers/tick";
import type { Database } from "../db/connect";
import { Refusal } from "../errors/refusal";

type Tables = Database;

/** What is ticked off in the lists of a start: of each line what counts. */
export async function ticksOf(
  { models }: Tables,
  clubId: string,
  startId: string,
  transaction?: Transaction,
): Promise<{ ticks: Tick[] }> {
  const rows = await models.Tick.findAll({ where: { clubId, startId }, transaction });
  return { ticks: mergeTicks(rows.map(toTick)) };
}

/**
 * Takes ticks as they were pressed: of each line the one that counts, as every device finds it.
 * @returns what counts now
 * @throws Refusal `full` where there would be more lines than a start may have
 */
export async function takeTicks(
  context: Tables,
  clubId: string,
  startId: string,
  ticks: readonly Tick[],
  transaction: Transaction,
): Promise<{ ticks: Tick[] }> {
  const { sequelize, models } = context;
  const checkMost = () =>
    checkQuota(context, models.Tick, "ticksOfStart", startId, { clubId, startId }, transaction, 0);
  // In turn, so that the count holds.
  await checkMost();
  await sequelize.query(
    `INSERT INTO ticks (club_id, start_id, step, line, is_on, at, by)
      SELECT $1, $2, t.step, t.line, t."isOn", t.at, t.by
      FROM jsonb_to_recordset($3::jsonb) AS t(step text, line text, "isOn" boolean, at timestamptz, by uuid)
      ON CONFLICT (club_id, start_id, step, line) DO UPDATE
      SET is_on = EXCLUDED.is_on, at = EXCLUDED.at, by = EXCLUDED.by
      WHERE (EXCLUDED.at, EXCLUDED.by, EXCLUDED.is_on) > (ticks.at, ticks.by, ticks.is_on)`,
    { bind: [clubId, startId, JSON.stringify(mergeTicks(ticks))], transaction },
  );
  await checkMost();
  return ticksOf(context, clubId, startId, transaction);
}

/** Nothing is ticked in the future. @throws Refusal `invalid_input` at the first that is */
export function checkTickTimes(sent: readonly Tick[], { pressAhead }: { pressAhead: number }): void {
  const index = sent.findIndex((t) => Date.parse(t.at) > Date.now() + pressAhead);
  if (index < 0) return;
  throw new Refusal("invalid_input", "This was ticked later than it is now: the device's clock is wrong.", {
    path: `ticks.${index}.at`,
  });
}
