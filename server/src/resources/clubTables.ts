import { clubParamsSchema, MOST } from "@tonodrome/core/api";
import { logCsv, shelfCsv, startsCsv } from "@tonodrome/core/tables";
import type { FastifyReply } from "fastify";
import type { Transaction } from "sequelize";
import { placeOf } from "../access/access";
import { audit } from "../access/audit";
import { contentOf } from "../answers/drill";
import type { AthleteRow } from "../db/models/rows";
import { listedTime } from "../write/startTimes";
import type { Resource } from "./context";

const build = { access: "build" } as const;
const schema = { params: clubParamsSchema };

/** What a club has, as tables for a spreadsheet: the shelf, the starts, the log. */
export const clubTables: Resource = (context) => (app, _options, done) => {
  const { sequelize, models } = context;

  const send = (reply: FastifyReply, name: string, text: string) =>
    reply
      .type("text/csv; charset=utf-8")
      .header("content-disposition", `attachment; filename="${name}.csv"`)
      // Without it some spreadsheets take UTF-8 for something else.
      .send(`\ufeff${text}`);

  /** Everything of one moment, and that it was taken out noted. */
  const read = <T>(request: Parameters<typeof audit>[2], work: (transaction: Transaction) => Promise<T>) =>
    sequelize.transaction(async (transaction) => {
      await audit(context, transaction, request, "club.export", { clubId: placeOf(request).clubId });
      return work(transaction);
    });

  app.get("/clubs/:clubId/tables/shelf", { config: build, schema }, async (request, reply) => {
    const { clubId } = placeOf(request);
    const rows = await read(request, (transaction) =>
      models.Drill.findAll({ where: { clubId, archived: false }, order: ["name", "id"], transaction }),
    );
    return send(reply, "shelf", shelfCsv(rows.map((row) => contentOf(row))));
  });

  app.get("/clubs/:clubId/tables/starts", { config: build, schema }, async (request, reply) => {
    const { clubId } = placeOf(request);
    const rows = await read(request, (transaction) =>
      models.Start.findAll({
        where: { clubId },
        attributes: { exclude: ["setting"] },
        include: { association: "athlete", where: { clubId }, attributes: ["id", "name"] },
        order: ["startsAt", "id"],
        limit: MOST.starts,
        transaction,
      }),
    );
    const table = rows.map((row) => {
      const { title, venue, zone, startsAt, orderNumber } = row;
      return {
        athlete: (row as unknown as { athlete: AthleteRow }).athlete.name,
        title,
        venue,
        zone,
        startsAt: startsAt.toISOString(),
        listedAt: listedTime(row),
        number: orderNumber,
      };
    });
    return send(reply, "starts", startsCsv(table));
  });

  app.get("/clubs/:clubId/tables/log", { config: build, schema }, async (request, reply) => {
    const { clubId } = placeOf(request);
    const rows = await read(request, (transaction) =>
      models.Run.findAll({
        where: { clubId },
        attributes: ["athleteName", "title", "venue", "zone", "startsAt", "summary"],
        order: ["startsAt", "id"],
        limit: MOST.runs,
        transaction,
      }),
    );
    const table = rows.flatMap(({ athleteName, title, venue, zone, startsAt, summary }) =>
      // A run of which nothing was summed up yet has just begun.
      summary
        ? [{ ...summary, athlete: athleteName, title, venue, zone, startsAt: startsAt.toISOString() }]
        : [],
    );
    return send(reply, "log", logCsv(table));
  });
  done();
};
