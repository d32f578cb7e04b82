import { type QueryInterface, Sequelize } from "sequelize";
import { SequelizeStorage, Umzug } from "umzug";
import { migrations } from "./migrations";

/** Any number, the same for every server on one database. */
const MIGRATION_LOCK = 7_310_552;

/**
 * Brings the database to the newest schema. Safe to call from several servers at once: they take turns. It uses two
 * connections of its own, one that holds the turn and one that works, so that it does not wait for a pool of one.
 * @returns the names of the migrations applied by this call
 */
export async function migrate(databaseUrl: string): Promise<string[]> {
  const open = () =>
    new Sequelize(databaseUrl, { dialect: "postgres", logging: false, pool: { max: 1, min: 0 } });
  const [turn, work] = [open(), open()];
  try {
    return await turn.transaction(async (transaction) => {
      await turn.query(`SELECT pg_advisory_xact_lock(${MIGRATION_LOCK})`, { transaction });
      const umzug = new Umzug<QueryInterface>({
        migrations,
        context: work.getQueryInterface(),
        storage: new SequelizeStorage({ sequelize: work }),
        logger: undefined,
      });
      return (await umzug.up()).map((m) => m.name);
    });
  } finally {
    await Promise.all([turn.close(), work.close()]);
  }
}
