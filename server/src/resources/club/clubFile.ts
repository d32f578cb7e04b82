import { Readable } from "node:stream";
import {
  clubParamsSchema,
  doneSchema,
  exportQuerySchema,
  importQuerySchema,
  rolesThat,
  TOPICS,
} from "@tonodrome/core/api";
import { QueryTypes } from "sequelize";
import { askerOf } from "../../access/access";
import { audit } from "../../access/audit";
import { exportClub } from "../../clubFile/exportClub";
import { importInWorker } from "../../clubFile/importInWorker";
import { connect } from "../../db/connect";
import { endSlowReader } from "../../live/slowReader";
import { makePlaces } from "../../process/places";
import type { Resource } from "../context";

/** An account is new for so long. */
const NEW = "7 days";

/**
 * Most exports at once on one server. Each holds a connection for as long as its reader takes: these have a pool of their
 * own, so that however slowly they are read nobody else waits for a connection. Custom.
 */
const MOST_EXPORTS = 2;

/** Most imports at once on one server: each has a thread and a connection of its own. Custom. */
const MOST_IMPORTS = 2;

const MEGABYTE = 1_048_576;

/** A whole club out, and into an empty one. */
export const clubFile: Resource = (context) => (app, _options, done) => {
  const { sequelize, changes, databaseUrl, importWorker } = context;
  const aside = connect(databaseUrl, MOST_EXPORTS);
  app.addHook("onClose", () => aside.sequelize.close());
  const exporting = makePlaces(MOST_EXPORTS, "Other exports are under way.", 60);
  const importing = makePlaces(MOST_IMPORTS, "Other clubs are importing just now.", 60);
  // What is imported is read as it comes, whatever it says it is.
  app.addContentTypeParser("*", (_request, payload, parsed) => parsed(null, payload));
  app.addContentTypeParser("application/json", (_request, payload, parsed) => parsed(null, payload));

  app.get(
    "/clubs/:clubId/export",
    {
      config: { access: "build" },
      // Pressed together it would be held back until there is enough to press.
      compress: false,
      schema: { params: clubParamsSchema, querystring: exportQuerySchema },
    },
    async (request, reply) => {
      const { clubId, userId } = askerOf(request);
      const free = exporting.take(userId, clubId);
      // Whichever ends first: what is written out, or whoever reads it.
      reply.raw.once("close", free);
      try {
        await sequelize.transaction((t) => audit(context, t, request, "club.export", { clubId }));
      } catch (error) {
        free();
        throw error;
      }
      let taken = 0;
      const file = exportClub(aside, clubId, request.query.edits === "yes");
      const counted = async function* () {
        for await (const line of file) {
          taken += line.length;
          yield line;
        }
      };
      const lines = Readable.from(counted(), { objectMode: false, highWaterMark: 65_536 });
      lines.once("close", free);
      if (reply.raw.destroyed) lines.destroy();
      endSlowReader(lines, reply.raw, () => taken, context.leastRate);
      return reply
        .type("application/x-ndjson; charset=utf-8")
        .header("content-disposition", 'attachment; filename="tonodrome-club.ndjson"')
        .send(lines);
    },
  );

  app.post(
    "/clubs/:clubId/import",
    {
      config: { access: "build", notInDemo: true, streamed: true },
      bodyLimit: context.importMegabytes * MEGABYTE,
      schema: { params: clubParamsSchema, querystring: importQuerySchema, response: { 200: doneSchema } },
    },
    async (request) => {
      const { clubId, userId } = askerOf(request);
      const free = importing.take(userId, clubId);
      try {
        const most = (await isNew(userId)) ? context.newImportMegabytes : context.importMegabytes;
        const importer = {
          userId,
          roles: rolesThat("build"),
          takesName: request.query.name === "take",
        };
        await importInWorker(
          (request.body ?? Readable.from([])) as Readable,
          most * MEGABYTE,
          { databaseUrl, clubId, importer },
          importWorker,
        );
      } finally {
        free();
      }
      for (const topic of TOPICS) changes.publish({ clubId, topic });
      return { done: true as const };
    },
  );

  /** Whether somebody's account is so new that nobody can know what they are up to. */
  async function isNew(userId: string): Promise<boolean> {
    const [row] = await sequelize.query<{ isNew: boolean }>(
      `SELECT created_at > now() - interval '${NEW}' AS "isNew" FROM users WHERE id = $1`,
      { bind: [userId], type: QueryTypes.SELECT },
    );
    return row?.isNew ?? true;
  }
  done();
};
