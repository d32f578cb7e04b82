import { randomUUID } from "node:crypto";
import { isDeepStrictEqual } from "node:util";
import { daySchema, idParamsSchema } from "@tonodrome/core/api";
import { Op, type Transaction } from "sequelize";
import { type Asker, askerOf } from "../../access/access";
import { audit } from "../../access/audit";
import { notFound } from "../../errors/refusal";
import type { Change } from "../../live/changes";
import { write } from "../../write/write";
import { writeVersioned } from "../../write/writeVersioned";
import type { Context, Resource } from "../context";

/** What a day may be of. */
interface Owner {
  /** As addresses call it. */
  path: "starts" | "events" | "athletes";
  /** As messages do. */
  what: "start" | "event" | "athlete";
  column: "startId" | "eventId" | "athleteId";
  /** Who may read it: the day of their own start is an athlete's too. */
  read: "see" | "read";
  /** Whether there is such a thing, and whoever asks may know of it. */
  isThere: (context: Context, asker: Asker, id: string, transaction?: Transaction) => Promise<boolean>;
}

const OWNERS: readonly Owner[] = [
  {
    path: "starts",
    what: "start",
    column: "startId",
    read: "see",
    isThere: async ({ models }, { clubId, onlyAthlete }, id, transaction) => {
      const own = onlyAthlete ? { athleteId: onlyAthlete } : {};
      return (await models.Start.count({ where: { [Op.and]: [own, { clubId, id }] }, transaction })) > 0;
    },
  },
  {
    path: "events",
    what: "event",
    column: "eventId",
    read: "read",
    isThere: async ({ models }, { clubId }, id, transaction) =>
      (await models.EventType.count({ where: { clubId, id }, transaction })) > 0,
  },
  {
    path: "athletes",
    what: "athlete",
    column: "athleteId",
    read: "read",
    isThere: async ({ models }, { clubId }, id, transaction) =>
      (await models.Athlete.count({ where: { clubId, id }, transaction })) > 0,
  },
];

/** Days of starts, and what days of an event or of an athlete begin with. */
export const days: Resource = (context) => (app, _options, done) => {
  const { models, changes } = context;
  const params = idParamsSchema;
  for (const { path, what, column, read, isThere } of OWNERS) {
    const url = `/clubs/:clubId/${path}/:id/day` as const;
    const schema = { params, response: { 200: daySchema } };

    app.get(url, { config: { access: read }, schema }, async (request) => {
      const asker = askerOf(request);
      const { id } = request.params;
      if (!(await isThere(context, asker, id))) throw notFound(what);
      const row = await models.Day.findOne({ where: { clubId: asker.clubId, [column]: id } });
      return { version: row?.version ?? 1, steps: row?.steps ?? null };
    });

    app.put(
      url,
      { config: { access: "build" }, schema: { ...schema, body: daySchema } },
      async (request, reply) => {
        const asker = askerOf(request);
        const { clubId } = asker;
        const { id } = request.params;
        const { version, steps } = request.body;
        const save = async (transaction: Transaction) => {
          if (!(await isThere(context, asker, id, transaction))) throw notFound(what);
          await models.Day.findOrCreate({
            where: { clubId, [column]: id },
            defaults: { id: randomUUID(), clubId, [column]: id, version: 1, steps: null },
            transaction,
          });
          return writeVersioned(transaction, {
            what: "day",
            against: version,
            find: (locked) => models.Day.findOne({ where: { clubId, [column]: id }, ...locked }),
            answer: (row) => ({ version: row.version, steps: row.steps }),
            isSame: (row) => isDeepStrictEqual(row.steps, steps),
            change: async (row, next) => {
              await row.update({ version: next, steps }, { transaction });
              await audit(context, transaction, request, "day.save", {
                clubId,
                id,
                detail: { version: next },
              });
              return { version: next, steps };
            },
          });
        };
        const change: Change = { clubId, topic: path, id };
        return write(context, reply, save, { after: () => changes.publish(change) });
      },
    );
  }
  done();
};
