import { randomUUID } from "node:crypto";
import { isDeepStrictEqual } from "node:util";
import {
  clubParamsSchema,
  type EventInput,
  eventInputSchema,
  eventListSchema,
  eventSchema,
  eventWriteSchema,
  idParamsSchema,
} from "@tonodrome/core/api";
import type { Transaction } from "sequelize";
import { askerOf } from "../../access/access";
import { audit } from "../../access/audit";
import { checkQuota } from "../../access/quota";
import { toEvent } from "../../answers/event";
import type { Database } from "../../db/connect";
import { Refusal } from "../../errors/refusal";
import { write } from "../../write/write";
import { writeVersioned } from "../../write/writeVersioned";
import type { Resource } from "../context";

/** The club's events. */
export const events: Resource = (context) => (app, _options, done) => {
  const { models, changes } = context;
  const after = (clubId: string) => ({ after: () => changes.publish({ clubId, topic: "events" }) });

  app.get(
    "/clubs/:clubId/events",
    { config: { access: "see" }, schema: { params: clubParamsSchema, response: { 200: eventListSchema } } },
    async (request) => {
      const { clubId } = askerOf(request);
      const rows = await models.EventType.findAll({ where: { clubId }, order: ["name", "id"] });
      return { events: rows.map(toEvent) };
    },
  );

  app.post(
    "/clubs/:clubId/events",
    {
      config: { access: "build" },
      schema: { params: clubParamsSchema, body: eventInputSchema, response: { 201: eventSchema } },
    },
    async (request, reply) => {
      const { clubId } = askerOf(request);
      const { id = randomUUID(), ...input } = request.body;
      const make = async (transaction: Transaction) => {
        const before = await models.EventType.findOne({ where: { clubId, id }, transaction });
        if (before) return toEvent(before);
        await checkQuota(context, models.EventType, "events", clubId, { clubId }, transaction);
        const made = await models.EventType.create(
          { id, clubId, version: 1, archived: false, ...columns(input) },
          { transaction },
        );
        await audit(context, transaction, request, "event.make", { clubId, id });
        return toEvent(made);
      };
      return write(context, reply, make, { status: 201, ...after(clubId) });
    },
  );

  app.put(
    "/clubs/:clubId/events/:id",
    {
      config: { access: "build" },
      schema: { params: idParamsSchema, body: eventWriteSchema, response: { 200: eventSchema } },
    },
    async (request, reply) => {
      const { clubId } = askerOf(request);
      const { id } = request.params;
      const { version, archived, ...input } = request.body;
      const wanted = { archived, ...columns(input) };
      const change = (transaction: Transaction) =>
        writeVersioned(transaction, {
          what: "event",
          against: version,
          find: (locked) => models.EventType.findOne({ where: { id, clubId }, ...locked }),
          answer: toEvent,
          isSame: (row) =>
            isDeepStrictEqual({ archived: row.archived, name: row.name, body: row.body }, wanted),
          change: async (row, next) => {
            await row.update({ ...wanted, version: next }, { transaction });
            const detail = { version: next };
            await audit(context, transaction, request, "event.change", { clubId, id, detail });
            return toEvent(row);
          },
        });
      return write(context, reply, change, after(clubId));
    },
  );
  done();
};

function columns({ name, ...body }: Omit<EventInput, "id">) {
  return { name, body };
}

/** @throws Refusal `invalid_input` at `path` when one of the events named is not in the club */
export async function checkEvents(
  { models }: Database,
  ids: readonly string[],
  clubId: string,
  path: string,
  transaction: Transaction,
): Promise<void> {
  const wanted = [...new Set(ids)];
  if (wanted.length === 0) return;
  const found = await models.EventType.count({ where: { clubId, id: wanted }, transaction });
  if (found < wanted.length)
    throw new Refusal("invalid_input", "This event is not in the club. Choose another, or none.", { path });
}
