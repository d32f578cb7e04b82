import type { Database } from "../db/connect";

/** A demo is cleared this long after it was opened. */
const DEMO_LIFE = "1 day";

/** What is over is kept so long, for whoever asks what became of it. */
const KEPT_FOR = "90 days";

/** How often it is looked for what has expired, milliseconds. */
const EVERY = 900_000;

const TURN = 7_310_554;

/** Deletes demos whose day is over, with their visitors. */
export const PURGE_DEMOS = [
  `DELETE FROM clubs WHERE demo AND created_at < now() - interval '${DEMO_LIFE}'`,
  `DELETE FROM users u WHERE demo AND created_at < now() - interval '1 hour'
    AND NOT EXISTS (SELECT 1 FROM members m WHERE m.user_id = u.id)`,
];

/** A start that was deleted can be had back for so long; the interface offers it for a minute. */
const TAKEN_BACK = "1 hour";

const PURGE = [
  ...PURGE_DEMOS,
  `DELETE FROM starts WHERE deleted_at < now() - interval '${TAKEN_BACK}'`,
  "DELETE FROM sessions WHERE expires_at < now()",
  "DELETE FROM password_resets WHERE expires_at < now()",
  "DELETE FROM rate_limits WHERE expire < extract(epoch FROM now()) * 1000",
  `DELETE FROM invites WHERE coalesce(withdrawn_at, used_at, expires_at) < now() - interval '${KEPT_FOR}'`,
  `DELETE FROM shares h USING starts s WHERE s.club_id = h.club_id AND s.id = h.start_id
    AND coalesce(h.withdrawn_at, h.expires_at, s.starts_at) < now() - interval '${KEPT_FOR}'`,
  `DELETE FROM calendars WHERE withdrawn_at < now() - interval '${KEPT_FOR}'`,
  // Nobody comes to an order but by a start that stands in it.
  `DELETE FROM running_orders o WHERE (o.slots -> -1 ->> 'at')::timestamptz < now() - interval '${KEPT_FOR}'
    AND NOT EXISTS (SELECT 1 FROM starts s WHERE s.club_id = o.club_id AND s.order_id = o.id)`,
];

/** Deletes what has expired. Of several servers on one database one does it. @returns whether it was this one's turn */
export async function purge({ sequelize }: Database): Promise<boolean> {
  return sequelize.transaction(async (transaction) => {
    const [rows] = await sequelize.query(`SELECT pg_try_advisory_xact_lock(${TURN}) AS turn`, {
      transaction,
    });
    if (!(rows as { turn: boolean }[])[0]?.turn) return false;
    for (const statement of PURGE) await sequelize.query(statement, { transaction });
    return true;
  });
}

/** Purges now and then. A database that is away is asked again the next time. @returns what ends it */
export function keepPurged(database: Database): () => void {
  const run = () => void purge(database).catch(() => undefined);
  run();
  const timer = setInterval(run, EVERY);
  timer.unref();
  return () => clearInterval(timer);
}
