import path from "node:path";

/** What the server needs to know of its surroundings, all from the environment. */
export interface Config {
  /** PostgreSQL connection URL. */
  databaseUrl: string;
  /** Connection URL for listening to changes: the database itself, where the other one is a pool of transactions. */
  listenUrl: string;
  /** Most connections to the database that this server holds for answering. */
  poolSize: number;
  /** Keys that sign cookies, newest first; older ones are still taken. The same for every server. */
  secrets: string[];
  port: number;
  host: string;
  /** Whether addresses and protocol are as a balancer in front says (X-Forwarded-*). */
  trustProxy: boolean;
  /** Folder of the exported web application; nothing is served from it when it is missing. */
  webRoot: string;
  /** Folder of the starter shelves that come with it. */
  starterFolder: string;
  logLevel: string;
  /** Whether an empty database gets the demo club. */
  demo: boolean;
  /** Most writes one person may make in a minute on one server. */
  writesPerMinute: number;
  /** Largest export of a club that is taken. */
  importMegabytes: number;
}

const SHORTEST_SECRET = 32;

/**
 * Reads the configuration.
 * @throws Error naming the variable that is missing or wrong
 */
export function readConfig(env: NodeJS.ProcessEnv): Config {
  const databaseUrl = env.DATABASE_URL;
  if (!databaseUrl) {
    throw new Error("DATABASE_URL is not set. Start with `npm start`, which brings its own PostgreSQL.");
  }
  const secrets = (env.TONODROME_SECRET ?? "").split(",").filter((s) => s !== "");
  if (secrets.length === 0 || secrets.some((s) => s.length < SHORTEST_SECRET)) {
    throw new Error(
      `TONODROME_SECRET is missing or short. Start with \`npm start\`, which makes one, or give at least ${SHORTEST_SECRET} random characters.`,
    );
  }
  return {
    databaseUrl,
    listenUrl: env.DATABASE_LISTEN_URL || databaseUrl,
    poolSize: whole(env, "DATABASE_POOL", 10, 1, 500),
    secrets,
    port: whole(env, "PORT", 4780, 0, 65535),
    host: env.HOST ?? "127.0.0.1",
    trustProxy: env.TONODROME_TRUST_PROXY === "yes",
    webRoot: path.resolve(env.TONODROME_WEB ?? "app/dist"),
    starterFolder: path.resolve(env.TONODROME_STARTERS ?? "server/starters"),
    logLevel: env.LOG_LEVEL ?? "warn",
    demo: env.TONODROME_DEMO !== "no",
    writesPerMinute: whole(env, "TONODROME_WRITES_PER_MINUTE", 600, 1, 1_000_000_000),
    importMegabytes: whole(env, "TONODROME_IMPORT_MB", 100, 1, 1000),
  };
}

function whole(env: NodeJS.ProcessEnv, name: string, otherwise: number, least: number, most: number): number {
  const value = Number(env[name] ?? otherwise);
  if (Number.isInteger(value) && value >= least && value <= most) return value;
  throw new Error(`${name} is "${env[name]}": give a whole number from ${least} to ${most}.`);
}
