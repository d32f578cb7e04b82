import type { FastifyPluginCallbackZod } from "fastify-type-provider-zod";
import type { RateLimits } from "../access/rateLimits";
import type { Database } from "../db/connect";
import type { Changes } from "../live/changes";
import type { LeastRate } from "../live/slowReader";
import type { Config } from "../process/config";
import type { Threads } from "../threads/threads";

/** What of the configuration resources go by. */
type Settings = Pick<
  Config,
  "demos" | "signUp" | "starterFolder" | "importMegabytes" | "newImportMegabytes" | "pressAhead"
>;

/** What every resource is given. */
export interface Context extends Database, Settings {
  changes: Changes;
  rateLimits: RateLimits;
  /** The file that reads an import in a thread of its own. */
  importWorker: string;
  /** What is done in threads of their own. */
  threads: Threads;
  /** The least that has to come of a long body, or be read of a long answer, if another than usual. */
  leastRate?: LeastRate;
  /** Where the database is, for what works on a connection of its own. */
  databaseUrl: string;
}

/** A resource: a Fastify plugin made for a context. */
export type Resource = (context: Context) => FastifyPluginCallbackZod;
