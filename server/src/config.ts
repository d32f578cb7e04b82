import path from "node:path";

/** What the server needs to know of its surroundings, all from the environment. */
export interface Config {
  /** PostgreSQL connection URL. */
  databaseUrl: string;
  port: number;
  host: string;
  /** Folder of the exported web application; nothing is served from it when it is missing. */
  webRoot: string;
  logLevel: string;
  /** Whether an empty database gets the demo club. */
  demo: boolean;
}

/**
 * Reads the configuration.
 * @throws Error naming the variable that is missing or wrong
 */
export function readConfig(env: NodeJS.ProcessEnv): Config {
  const databaseUrl = env.DATABASE_URL;
  if (!databaseUrl) {
    throw new Error("DATABASE_URL is not set. Start with `npm start`, which brings its own PostgreSQL.");
  }
  const port = Number(env.PORT ?? 4780);
  if (!Number.isInteger(port) || port < 0 || port > 65535) {
    throw new Error(`PORT is "${env.PORT}", which is not a port: give a whole number from 1 to 65535.`);
  }
  return {
    databaseUrl,
    port,
    host: env.HOST ?? "127.0.0.1",
    webRoot: path.resolve(env.TONODROME_WEB ?? "app/dist"),
    logLevel: env.LOG_LEVEL ?? "warn",
    demo: env.TONODROME_DEMO !== "no",
  };
}
