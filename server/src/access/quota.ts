import { MOST } from "@tonodrome/core/api";
import type { Model, ModelStatic, Transaction, WhereOptions } from "sequelize";
import type { Database } from "../db/connect";
import { Refusal } from "../errors/refusal";

/** What each kind is called in a refusal. */
const WORDS = {
  clubs: "clubs as a person may belong to",
  athletes: "athletes as a club may have",
  drills: "drills as a shelf may have",
  events: "events as a club may have",
  templates: "templates as a club may have",
  orders: "running orders as a club may have",
  starts: "starts as a club may have",
  runs: "runs as a club may have",
  members: "members as a club may have",
  invites: "open invitations as a club may have",
  calendars: "calendar addresses as a club may have",
  shares: "open links as a club may have",
  sharesOfStart: "open links as a start may have",
  ticksOfStart: "ticked lines as a start may have",
  runsOfStart: "runs as a start may have",
} as const;

/** The kinds that have a most. */
export type Kept = keyof typeof WORDS;

/** Returns the refusal for a kind that is full. */
export function full(kind: Kept): Refusal {
  return new Refusal(
    "full",
    `There are as many ${WORDS[kind]} (${MOST[kind]}). Nothing was made; take out what is not needed any more.`,
  );
}

/**
 * Refuses one more than there may be. Requests that make something of one kind in one club wait for each other, so that the count
 * is right.
 * @param whose the club, or person, whose things are counted
 * @throws Refusal `full`
 */
export async function checkQuota(
  database: Database,
  model: ModelStatic<Model>,
  kind: Kept,
  whose: string,
  where: WhereOptions,
  transaction: Transaction,
  more = 1,
): Promise<void> {
  const count = () => model.count({ where, transaction });
  await checkCount(database, kind, whose, count, transaction, more);
}

/** Does the same with a count of its own. @throws Refusal `full` */
export async function checkCount(
  { sequelize }: Pick<Database, "sequelize">,
  kind: Kept,
  whose: string,
  count: () => Promise<number>,
  transaction: Transaction,
  more = 1,
): Promise<void> {
  await sequelize.query("SELECT pg_advisory_xact_lock(hashtextextended($1, 5))", {
    bind: [`${kind} ${whose}`],
    transaction,
  });
  if ((await count()) + more > MOST[kind]) throw full(kind);
}
