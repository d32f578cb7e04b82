import type { QueryInterface, Sequelize } from "sequelize";
import { SequelizeStorage, Umzug } from "umzug";
import { migrations } from "./migrations";

/** Any number, the same for every server on one database. */
const MIGRATION_LOCK = 7_310_552;

/**
 * Brings the database to the newest schema. Safe to call from several servers at once: they take turns.
 * @returns the names of the migrations applied by this call
 */
export async function migrate(sequelize: Sequelize): Promise<string[]> {
  const umzug = new Umzug<QueryInterface>({
    migrations,
    context: sequelize.getQueryInterface(),
    storage: new SequelizeStorage({ sequelize }),
    logger: undefined,
  });
  return sequelize.transaction(async (transaction) => {
    await sequelize.query(`SELECT pg_advisory_xact_lock(${MIGRATION_LOCK})`, { transaction });
    const applied = await umzug.up();
    return applied.map((m) => m.name);
  });
}
