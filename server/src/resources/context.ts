import type { FastifyPluginCallbackZod } from "fastify-type-provider-zod";
import type { Limits } from "../access/limits";
import type { Database } from "../db/connect";
import type { Changes } from "../live/changes";

/** What every resource is given. */
export interface Context extends Database {
  changes: Changes;
  limits: Limits;
  /** Largest export of a club that is taken, bytes. */
  importLimit: number;
  /** Folder of the starter shelves that come with the server. */
  starterFolder: string;
}

/** A resource: a Fastify plugin made for a context. */
export type Resource = (context: Context) => FastifyPluginCallbackZod;
