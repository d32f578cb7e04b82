import type { Client } from "pg";
import type { Sequelize } from "sequelize";

/** A statement that PostgreSQL plans once for each connection and then only runs. */
export interface Prepared {
  /** The same name always goes with the same text. */
  name: string;
  text: string;
}

/**
 * Runs a prepared statement on one of the pool's connections. For the few questions that every request asks; whatever
 * is asked seldom goes through the models.
 * @returns the rows
 */
export async function askPrepared<T>(
  { connectionManager }: Sequelize,
  { name, text }: Prepared,
  values: unknown[],
): Promise<T[]> {
  const connection = (await connectionManager.getConnection({ type: "write" } as never)) as Client;
  try {
    return (await connection.query({ name, text, values })).rows as T[];
  } finally {
    connectionManager.releaseConnection(connection as never);
  }
}
