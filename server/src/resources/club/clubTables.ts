import { Readable } from "node:stream";
import { clubParamsSchema } from "@tonodrome/core/api";
import { BYTE_ORDER_MARK, logCsv, shelfCsv, startsCsv } from "@tonodrome/core/tables";
import type { FastifyReply, FastifyRequest } from "fastify";
import { Op, type WhereOptions } from "sequelize";
import { askerOf } from "../../access/access";
import { audit } from "../../access/audit";
import { contentOf } from "../../answers/drill";
import { listedTime } from "../../answers/listedTime";
import type { AthleteRow, DrillRow, RunRow, StartRow } from "../../db/models/rows";
import { hangUpOf } from "../../threads/hangUp";
import type { Resource } from "../context";

const build = { access: "build" } as const;
const schema = { params: clubParamsSchema };

/** Rows read and written at a time: others are answered in between. */
const ROWS_AT_A_TIME = 250;

interface Keyed {
  id: string;
}

/**
 * A table a page of rows after the other, in the order of something and of ids.
 * @param page reads the rows after one
 * @param text writes rows with their heads
 */
async function* inPages<Row extends Keyed>(
  page: (after: Row | null) => Promise<Row[]>,
  text: (rows: Row[]) => string,
  signal: AbortSignal,
): AsyncGenerator<string> {
  let last: Row | null = null;
  for (;;) {
    const rows: Row[] = await page(last);
    const written = text(rows);
    // The heads stand once.
    yield last ? written.slice(written.indexOf("\r\n") + 2) : BYTE_ORDER_MARK + written;
    last = rows.at(-1) ?? null;
    if (rows.length < ROWS_AT_A_TIME || signal.aborted) return;
  }
}

/** Rows after one, by a field and then by id. */
function after<Row extends Keyed>(field: keyof Row & string, last: Row | null): WhereOptions {
  if (!last) return {};
  const later = [{ [field]: { [Op.gt]: last[field] } }, { [field]: last[field], id: { [Op.gt]: last.id } }];
  return { [Op.or]: later } as WhereOptions;
}

/** What a club has, as tables for a spreadsheet: the shelf, the starts, the log. */
export const clubTables: Resource = (context) => (app, _options, done) => {
  const { sequelize, models } = context;

  /** Sends a table, and notes that it was taken out. Each page is read by itself: no reader holds a connection. */
  async function send<Row extends Keyed>(
    request: FastifyRequest,
    reply: FastifyReply,
    name: string,
    page: (after: Row | null) => Promise<Row[]>,
    text: (rows: Row[]) => string,
  ) {
    const { clubId } = askerOf(request);
    await sequelize.transaction((t) => audit(context, t, request, "club.export", { clubId }));
    return reply
      .type("text/csv; charset=utf-8")
      .header("content-disposition", `attachment; filename="${name}.csv"`)
      .send(Readable.from(inPages(page, text, hangUpOf(reply)), { objectMode: false }));
  }

  app.get("/clubs/:clubId/tables/shelf", { config: build, schema }, (request, reply) => {
    const { clubId } = askerOf(request);
    return send<DrillRow>(
      request,
      reply,
      "shelf",
      (last) =>
        models.Drill.findAll({
          where: { clubId, archived: false, ...after("name", last) },
          order: ["name", "id"],
          limit: ROWS_AT_A_TIME,
        }).then((rows) => rows.map((row) => row.get())),
      (rows) => shelfCsv(rows.map((row) => contentOf(row))),
    );
  });

  app.get("/clubs/:clubId/tables/starts", { config: build, schema }, (request, reply) => {
    const { clubId } = askerOf(request);
    return send<StartRow>(
      request,
      reply,
      "starts",
      (last) =>
        models.Start.findAll({
          where: { clubId, ...after("startsAt", last) },
          attributes: { exclude: ["setting"] },
          include: { association: "athlete", where: { clubId }, attributes: ["id", "name"] },
          order: ["startsAt", "id"],
          limit: ROWS_AT_A_TIME,
        }).then((rows) => rows.map((row) => row.get())),
      (rows) =>
        startsCsv(
          rows.map((row) => ({
            athlete: (row as unknown as { athlete: AthleteRow }).athlete.name,
            title: row.title,
            venue: row.venue,
            zone: row.zone,
            startsAt: row.startsAt.toISOString(),
            listedAt: listedTime(row),
            number: row.orderNumber,
          })),
        ),
    );
  });

  app.get("/clubs/:clubId/tables/log", { config: build, schema }, (request, reply) => {
    const { clubId } = askerOf(request);
    return send<RunRow>(
      request,
      reply,
      "log",
      (last) =>
        models.Run.findAll({
          where: { clubId, ...after("startsAt", last) },
          attributes: ["id", "athleteName", "title", "venue", "zone", "startsAt", "summary"],
          order: ["startsAt", "id"],
          limit: ROWS_AT_A_TIME,
        }).then((rows) => rows.map((row) => row.get())),
      (rows) =>
        logCsv(
          rows.flatMap(({ athleteName, title, venue, zone, startsAt, summary }) =>
            // A run of which nothing was summed up yet has just begun.
            summary
              ? [{ ...summary, athlete: athleteName, title, venue, zone, startsAt: startsAt.toISOString() }]
              : [],
          ),
        ),
    );
  });
  done();
};
