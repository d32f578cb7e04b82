import type { FastifyPluginCallbackZod } from "fastify-type-provider-zod";
import type { Database } from "../db/connect";

/** What every resource is given. */
export interface Context extends Database {
  /** The club that a request acts for. Accounts are to come; until then there is one local club. */
  clubOf(): Promise<string>;
}

/** A resource: a Fastify plugin made for a context. */
export type Resource = (context: Context) => FastifyPluginCallbackZod;
