import path from "node:path";
import { MOST_AHEAD } from "@tonodrome/core/api";
import ipaddr from "ipaddr.js";

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
  /** Whose word on addresses and protocol (X-Forwarded-*) is taken: nobody's, so many hops', or certain addresses'. */
  trustProxy: false | number | string[];
  /** Names that the server is asked for by; null for any. */
  hosts: string[] | null;
  /** For how many days browsers are told to come by TLS only; 0 tells them nothing. */
  hstsDays: number;
  /** Folder of the exported web application; nothing is served from it when it is missing. */
  webRoot: string;
  /** Folder of the starter shelves that come with it. */
  starterFolder: string;
  logLevel: string;
  /** Most demo clubs at once; 0 keeps the demo's door closed. */
  demos: number;
  /** Most demo clubs opened from one machine in an hour. */
  demosPerHour: number;
  /** Most accounts with a club made from one machine in an hour. */
  accountsPerHour: number;
  /** Whether anybody may make an account with a club. */
  signUp: boolean;
  /** How far ahead of the server's clock a press may be stamped, milliseconds. */
  pressAhead: number;
  /** Most writes one person may make in a minute on one server. */
  writesPerMinute: number;
  /** Most readings one person, or signed out one machine, may make in a minute on one server. */
  readsPerMinute: number;
  /** Largest export of a club that is taken, and from an account younger than a week. */
  importMegabytes: number;
  newImportMegabytes: number;
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
  const host = env.HOST ?? "127.0.0.1";
  const trustProxy = readTrust(env.TONODROME_TRUST_PROXY ?? "");
  const isLocal = LOOPBACK.includes(host) && trustProxy === false;
  return {
    databaseUrl,
    listenUrl: env.DATABASE_LISTEN_URL || databaseUrl,
    poolSize: whole(env, "DATABASE_POOL", 10, 1, 500),
    secrets,
    port: whole(env, "PORT", 4780, 0, 65535),
    host,
    trustProxy,
    // What is only served on this machine is only asked for by its own names.
    hosts: env.TONODROME_HOSTS
      ? list(env.TONODROME_HOSTS).map((h) => h.toLowerCase())
      : isLocal
        ? LOOPBACK
        : null,
    hstsDays: whole(env, "TONODROME_HSTS_DAYS", 0, 0, 3650),
    webRoot: path.resolve(env.TONODROME_WEB ?? "app/dist"),
    starterFolder: path.resolve(env.TONODROME_STARTERS ?? "server/starters"),
    logLevel: env.LOG_LEVEL ?? "warn",
    demos: env.TONODROME_DEMO === "no" ? 0 : whole(env, "TONODROME_DEMOS", 200, 0, 100_000),
    demosPerHour: whole(env, "TONODROME_DEMOS_PER_HOUR", 30, 1, 1_000_000),
    accountsPerHour: whole(env, "TONODROME_ACCOUNTS_PER_HOUR", 20, 1, 1_000_000),
    signUp: env.TONODROME_SIGN_UP !== "no",
    pressAhead: whole(env, "TONODROME_PRESS_AHEAD_SECONDS", MOST_AHEAD / 1000, 1, 86_400) * 1000,
    writesPerMinute: whole(env, "TONODROME_WRITES_PER_MINUTE", 600, 1, 1_000_000_000),
    readsPerMinute: whole(env, "TONODROME_READS_PER_MINUTE", 3000, 1, 1_000_000_000),
    importMegabytes: whole(env, "TONODROME_IMPORT_MB", 500, 1, 10_000),
    newImportMegabytes: whole(env, "TONODROME_IMPORT_MB_NEW", 20, 1, 10_000),
  };
}

const LOOPBACK = ["localhost", "127.0.0.1", "[::1]"];

const list = (text: string) =>
  text
    .split(",")
    .map((part) => part.trim())
    .filter((part) => part !== "");

/** @throws Error for what is neither a number of hops nor addresses */
function readTrust(text: string): Config["trustProxy"] {
  if (text === "" || text === "no") return false;
  // What was said before there was a choice: one balancer in front.
  if (text === "yes") return 1;
  if (/^\d+$/.test(text) && Number(text) >= 1 && Number(text) <= 10) return Number(text);
  const ranges = list(text);
  if (
    ranges.length > 0 &&
    ranges.every((r) => ipaddr.isValidCIDR(r) || (/[.:]/.test(r) && ipaddr.isValid(r)))
  )
    return ranges;
  throw new Error(
    `TONODROME_TRUST_PROXY is "${text}": give how many balancers are in front (1), or their addresses (10.0.0.0/8, 192.0.2.7).`,
  );
}

function whole(env: NodeJS.ProcessEnv, name: string, otherwise: number, least: number, most: number): number {
  const value = Number(env[name] ?? otherwise);
  if (Number.isInteger(value) && value >= least && value <= most) return value;
  throw new Error(`${name} is "${env[name]}": give a whole number from ${least} to ${most}.`);
}
