import { randomUUID } from "node:crypto";
import { RUN_FORGOTTEN_HOURS } from "@tonodrome/core";
import { MOST } from "@tonodrome/core/api";
import { QueryTypes, type Transaction } from "sequelize";
import type { Database } from "../db/connect";
import type { Change } from "../live/changes";

/** A start that was moved. */
export interface Moved {
  startId: string;
  /** ISO 8601. */
  startsAt: string;
  /** The press that moved it, where it has an id: sent twice it is noted once. */
  id?: string;
  /** Told by a stand-in. */
  simulated?: boolean;
}

/**
 * Notes in the runs under way of some starts that these have moved. The start's own row is the truth; this is the one place
 * where a run's log learns of it, within the transaction that moves the start, so that however many phones hear of it, it
 * stands there once. A cool-down has no start to come.
 * @param only a run that is to be told, not every one of the start
 * @returns what is to be told of it once it is committed
 */
export async function noteMoves(
  { sequelize }: Pick<Database, "sequelize">,
  clubId: string,
  moves: readonly Moved[],
  transaction: Transaction,
  only: string | null = null,
): Promise<Change[]> {
  if (moves.length === 0) return [];
  const at = new Date().toISOString();
  const events = moves.map(({ startId, startsAt, id = randomUUID(), simulated }) => ({
    startId,
    event: { id, at, kind: "start-moved", startsAt, ...(simulated ? { simulated } : {}) },
  }));
  const told = await sequelize.query<{ id: string; press: string }>(
    `WITH moved AS (SELECT * FROM jsonb_to_recordset($2::jsonb) AS m("startId" uuid, event jsonb)),
      open AS (
        SELECT r.id, m.event FROM runs r JOIN moved m ON m."startId" = r.start_id
        WHERE r.club_id = $1 AND ($3::uuid IS NULL OR r.id = $3) AND r.created_at > now() - interval '${RUN_FORGOTTEN_HOURS} hours'
          AND r.summary ->> 'endedAt' IS NULL AND coalesce(r.plan ->> 'kind', 'warm-up') = 'warm-up'
          AND r.presses < ${MOST.presses}
        ORDER BY r.id FOR UPDATE OF r),
      added AS (
        INSERT INTO run_events (club_id, run_id, id, event)
        SELECT $1, open.id, (open.event ->> 'id')::uuid, open.event FROM open
        ON CONFLICT DO NOTHING RETURNING run_id, id, octet_length(event::text) AS bytes)
      UPDATE runs r SET presses = r.presses + 1, press_bytes = r.press_bytes + added.bytes
      FROM added WHERE r.club_id = $1 AND r.id = added.run_id RETURNING r.id, added.id AS press`,
    { bind: [clubId, JSON.stringify(events), only], type: QueryTypes.SELECT, transaction },
  );
  return told.map(({ id, press }) => ({ clubId, topic: "runs" as const, id, presses: [press] }));
}
