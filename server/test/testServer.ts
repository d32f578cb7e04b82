import { randomUUID } from "node:crypto";
import path from "node:path";
import { type Me, MOST_AHEAD, type Role } from "@tonodrome/core/api";
import type { FastifyInstance, InjectOptions, LightMyRequestResponse } from "fastify";
import { Client } from "pg";
import { hashOf } from "../src/access/session/token";
import { type AppOptions, buildApp } from "../src/app";
import { connect, type Database } from "../src/db/connect";
import { migrate } from "../src/db/migrate";
import { documentedRefusals } from "./documentedRefusals";

/** A request's method, address and body; `:club` in the address stands for the asker's club. */
export type Ask = (
  method: InjectOptions["method"],
  url: string,
  payload?: unknown,
  // biome-ignore lint/suspicious/noExplicitAny: tests read answers of every shape
) => Promise<{ status: number; body: any }>;

/** Somebody signed in. */
export interface Person {
  userId: string;
  email: string;
  cookie: string;
  ask: Ask;
}

export interface TestServer extends Database {
  app: FastifyInstance;
  url: string;
  clubId: string;
  /** Asks as the club's owner. */
  ask: Ask;
  owner: Person;
  /** Asks as nobody, or with any cookie, about this club or another. */
  askWith(cookie?: string, clubId?: string): Ask;
  /** Sends a request as it is, with the cookie given. */
  send(request: InjectOptions, cookie?: string): Promise<LightMyRequestResponse>;
  /** Signs up with a club of one's own. */
  signUp(clubName?: string): Promise<{ person: Person; me: Me }>;
  /** Somebody new in this server's club, or in another one. */
  member(role: Role, athleteId?: string | null, owner?: Person, clubId?: string): Promise<Person>;
  /** Another server's application on the same database. */
  another(options?: Partial<AppOptions>): Promise<FastifyInstance>;
  close(): Promise<void>;
}

type InjectPayload = NonNullable<InjectOptions["payload"]>;

/** The starter shelves that come with the server. */
export const STARTERS = path.resolve(__dirname, "..", "starters");

export const PASSWORD = "a long enough password";

const urlOf = (name: string) => (process.env.TEST_DATABASE_URL as string).replace(/\/\w+$/, `/${name}`);

/** Asks the tests' PostgreSQL as its administrator. */
async function asAdmin<T>(act: (client: Client) => Promise<T>): Promise<T> {
  const client = new Client({ connectionString: process.env.TEST_ADMIN_URL as string });
  await client.connect();
  try {
    return await act(client);
  } finally {
    await client.end();
  }
}

/** Makes an empty database of its own on the tests' PostgreSQL. */
export async function freshDatabase(): Promise<string> {
  const name = `t${randomUUID().replaceAll("-", "")}`;
  await asAdmin((client) => client.query(`CREATE DATABASE ${name} OWNER tonodrome_app`));
  return urlOf(name);
}

const TEMPLATE = "template_migrated";

/** Makes a database with every table in it, by copying one that was migrated once: a tenth of the time. */
async function migratedDatabase(): Promise<string> {
  const name = `t${randomUUID().replaceAll("-", "")}`;
  await asAdmin(async (client) => {
    // Two workers may come at once: the first makes it.
    await client.query("SELECT pg_advisory_lock(1)");
    const { rowCount } = await client.query("SELECT FROM pg_database WHERE datname = $1", [TEMPLATE]);
    if (!rowCount) {
      await client.query(`CREATE DATABASE ${TEMPLATE}_new OWNER tonodrome_app`);
      await migrate(urlOf(`${TEMPLATE}_new`));
      await client.query(`ALTER DATABASE ${TEMPLATE}_new RENAME TO ${TEMPLATE}`);
    }
    await client.query(`CREATE DATABASE ${name} TEMPLATE ${TEMPLATE} OWNER tonodrome_app`);
  });
  return urlOf(name);
}

/** The options of a server under test. */
export function testOptions(url: string, more: Partial<AppOptions> = {}): AppOptions {
  return {
    secrets: ["a secret of the tests, thirty-two characters and more"],
    databaseUrl: url,
    listenUrl: url,
    writesPerMinute: 1_000_000,
    readsPerMinute: 1_000_000,
    importMegabytes: 8,
    newImportMegabytes: 4,
    importWorker: path.resolve(__dirname, "..", "dist", "importWorker.js"),
    worker: path.resolve(__dirname, "..", "dist", "worker.js"),
    starterFolder: STARTERS,
    demos: 20,
    demosPerHour: 1_000,
    accountsPerHour: 1_000,
    pressAhead: MOST_AHEAD,
    signUp: true,
    hosts: null,
    hstsDays: 0,
    trustProxy: 1,
    log: { level: "silent" },
    ...more,
  };
}

/** A server on a database of its own with one empty club and its owner. */
export async function testServer(more: Partial<AppOptions> = {}, poolSize = 10): Promise<TestServer> {
  const url = await migratedDatabase();
  const database = connect(url, poolSize);
  const app = await buildApp(database, testOptions(url, more));
  const others: FastifyInstance[] = [];

  const send = async (request: InjectOptions, cookie?: string) => {
    const answer = await app.inject({
      ...request,
      // Every person comes from a machine of their own, so that one test's tries do not use up another's.
      headers: { "x-forwarded-for": machineOf(cookie), ...(cookie ? { cookie } : {}), ...request.headers },
    });
    checkRefusal(request, answer);
    return answer;
  };

  const askWith =
    (cookie?: string, clubId = ""): Ask =>
    async (method = "GET", path, payload) => {
      const url = path.replace(":club", `clubs/${clubId}`);
      const answer = await send(
        { method, url, ...(payload === undefined ? {} : { payload: payload as InjectPayload }) },
        cookie,
      );
      return { status: answer.statusCode, body: bodyOf(answer) };
    };

  /** Signs up at an address of the API and reads who one is then. */
  async function enter(path: string, more: object): Promise<{ person: Person; me: Me }> {
    const email = `${randomUUID()}@example.org`;
    const payload = { name: "Somebody", email, password: PASSWORD, ...more };
    const answer = await send({ method: "POST", url: path, payload });
    if (answer.statusCode !== 201) throw new Error(answer.body);
    const me: Me = answer.json();
    const cookie = cookieOf(answer);
    return { me, person: { userId: me.id, email, cookie, ask: askWith(cookie, me.clubs[0]?.id) } };
  }

  const signUp = (clubName = "Test club") => enter("/api/auth/sign-up", { clubName });
  const { person: owner, me } = await signUp();
  const clubId = me.clubs[0]?.id as string;

  return {
    ...database,
    app,
    url,
    clubId,
    owner,
    ask: owner.ask,
    askWith,
    send,
    signUp,
    async member(role, athleteId = null, by = owner, club = clubId) {
      const invite = await by.ask("POST", `/api/clubs/${club}/invites`, { role, athleteId });
      if (invite.status !== 201) throw new Error(JSON.stringify(invite.body));
      return (await enter(`/api/invites/${invite.body.token}/sign-up`, {})).person;
    },
    async another(options = {}) {
      const other = await buildApp(database, testOptions(url, options));
      others.push(other);
      return other;
    },
    async close() {
      await Promise.all([app, ...others].map((a) => a.close()));
      await database.sequelize.close();
    },
  };
}

/** Whatever is refused is refused as the description of the API says. @throws Error where it does not say so */
function checkRefusal({ method = "GET", url }: InjectOptions, answer: LightMyRequestResponse): void {
  if (answer.statusCode < 400 || typeof url !== "string") return;
  const { code } = answer.json();
  const documented = documentedRefusals(method, url);
  if (documented && !documented.has(code))
    throw new Error(`${method} ${url} is refused with ${code}, which docs/openapi.json does not say.`);
}

/** The session's cookie as a browser would send it back. */
export function cookieOf(answer: LightMyRequestResponse): string {
  return String(answer.headers["set-cookie"]).split(";")[0] ?? "";
}

function bodyOf(answer: LightMyRequestResponse) {
  const isJson = answer.headers["content-type"]?.toString().startsWith("application/json");
  return isJson ? answer.json() : answer.body;
}

function machineOf(cookie: string = randomUUID()): string {
  return `10.${[...hashOf(cookie).subarray(0, 3)].join(".")}`;
}
