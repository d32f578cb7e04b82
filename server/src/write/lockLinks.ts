import type { Transaction } from "sequelize";
import type { Database } from "../db/connect";

/** Two edits at the same moment must not close a circle of alternatives between them: one after the other, in one club. */
export const lockLinks = (
  { sequelize }: Pick<Database, "sequelize">,
  clubId: string,
  transaction: Transaction,
) =>
  sequelize.query("SELECT pg_advisory_xact_lock(hashtextextended($1, 4))", { bind: [clubId], transaction });
