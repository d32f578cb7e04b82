import { Sequelize } from "sequelize";
import { defineModels, type Models } from "./models";

/** A connection with its models. */
export interface Database {
  sequelize: Sequelize;
  models: Models;
}

/** How long the database may take, milliseconds, so that nothing that hangs makes others wait. Custom. */
export interface Patience {
  /** For one statement. */
  statement: number;
  /** For a row or table that somebody else holds. */
  lock: number;
  /** For the next statement of a transaction. */
  idle: number;
}

const USUAL: Patience = { statement: 20_000, lock: 5_000, idle: 30_000 };

/** How long it may take to connect, and for one of the pool's connections to be free, milliseconds. */
const CONNECT = 10_000;

/**
 * Opens a pool to PostgreSQL and defines the models on it. Nothing is asked of the server yet.
 * @param poolSize most connections held at a time
 */
export function connect(databaseUrl: string, poolSize = 10, patience: Patience = USUAL): Database {
  const sequelize = new Sequelize(databaseUrl, {
    dialect: "postgres",
    logging: false,
    pool: { max: poolSize, min: 0, idle: 10_000, acquire: CONNECT },
    dialectOptions: {
      statement_timeout: patience.statement,
      lock_timeout: patience.lock,
      idle_in_transaction_session_timeout: patience.idle,
      connectionTimeoutMillis: CONNECT,
    },
  });
  return { sequelize, models: defineModels(sequelize) };
}
