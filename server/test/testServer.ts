import { randomUUID } from "node:crypto";
import type { FastifyInstance, InjectOptions } from "fastify";
import { Client } from "pg";
import { buildApp } from "../src/app";
import { connect, type Database } from "../src/db/connect";
import { migrate } from "../src/db/migrate";

export interface TestServer extends Database {
  app: FastifyInstance;
  url: string;
  clubId: string;
  close(): Promise<void>;
  /** Sends a request and gives its status and parsed body. */
  ask(
    method: InjectOptions["method"],
    url: string,
    payload?: unknown,
    // biome-ignore lint/suspicious/noExplicitAny: tests read answers of every shape
  ): Promise<{ status: number; body: any }>;
}

/** Makes an empty database of its own on the tests' PostgreSQL. */
export async function freshDatabase(): Promise<string> {
  const admin = process.env.TEST_DATABASE_URL as string;
  const name = `t${randomUUID().replaceAll("-", "")}`;
  const client = new Client({ connectionString: admin });
  await client.connect();
  await client.query(`CREATE DATABASE ${name}`);
  await client.end();
  return admin.replace(/\/\w+$/, `/${name}`);
}

/** A server on a database of its own with one empty club. */
export async function testServer(): Promise<TestServer> {
  const url = await freshDatabase();
  const database = connect(url);
  await migrate(database.sequelize);
  const clubId = randomUUID();
  await database.models.Club.create({ id: clubId, name: "Test club", demo: false });
  const app = await buildApp(database);
  return {
    ...database,
    app,
    url,
    clubId,
    async ask(method, path, payload) {
      const answer = await app.inject({
        method,
        url: path,
        ...(payload === undefined ? {} : { payload: payload as InjectOptions["payload"] }),
      });
      return { status: answer.statusCode, body: answer.body ? JSON.parse(answer.body) : null };
    },
    async close() {
      await app.close();
      await database.sequelize.close();
    },
  };
}
