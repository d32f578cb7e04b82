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
import { placeOf } from "../access/access";
import { audit } from "../access/audit";
import { exportClub } from "../clubFile/exportClub";
import { importInWorker } from "../clubFile/importInWorker";
import { Refusal } from "../errors/refusal";
import type { Resource } from "./context";

/** An account is new for so long. */
const NEW = "7 days";

/** Most exports at once on one server: each holds a connection for as long as its reader takes. */
const MOST_EXPORTS = 3;

const MEGABYTE = 1_048_576;

/** A whole club out, and into an empty one. */
export const clubFile: Resource = (context) => (app, _options, done) => {
  const { sequelize, changes, databaseUrl, importWorker } = context;
  /** Clubs that are being written out by this server. */
  const exporting = new Set<string>();
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
      const { clubId } = placeOf(request);
      if (exporting.has(clubId) || exporting.size >= MOST_EXPORTS)
        throw new Refusal("too_many", "Other exports are under way. Try again in a minute.", {}, 60);
      await sequelize.transaction((t) => audit(context, t, request, "club.export", { clubId }));
      exporting.add(clubId);
      const lines = Readable.from(exportClub(context, clubId, request.query.edits === "yes"), {
        objectMode: false,
        highWaterMark: 65_536,
      });
      // Whichever ends first: what is written out, or whoever reads it.
      const over = () => exporting.delete(clubId);
      lines.once("close", over);
      reply.raw.once("close", over);
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
      const { clubId, userId } = placeOf(request);
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
