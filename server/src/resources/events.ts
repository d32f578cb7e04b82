import { randomUUID } from "node:crypto";
import { isDeepStrictEqual } from "node:util";
import {
  type ClubEvent,
  clubParamsSchema,
  type EventInput,
  eventInputSchema,
  eventListSchema,
  eventSchema,
  eventWriteSchema,
  idParamsSchema,
} from "@tonodrome/core/api";
import type { Transaction } from "sequelize";
import { placeOf } from "../access/access";
import { audit } from "../access/audit";
import type { Database } from "../db/connect";
import type { EventTypeRow } from "../db/models/rows";
import { notFound, Refusal, versionConflict } from "../errors";
import type { Resource } from "./context";

/** The club's events. */
export const events: Resource = (context) => (app, _options, done) => {
  const { sequelize, models, changes } = context;

  app.get(
    "/clubs/:clubId/events",
    { config: { access: "see" }, schema: { params: clubParamsSchema, response: { 200: eventListSchema } } },
    async (request) => {
      const { clubId } = placeOf(request);
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
      const { clubId } = placeOf(request);
      const row = await sequelize.transaction(async (transaction) => {
        const made = await models.EventType.create(
          { id: randomUUID(), clubId, version: 1, archived: false, ...columns(request.body) },
          { transaction },
        );
        await audit(context, transaction, request, "event.make", { clubId, id: made.id });
        return made;
      });
      changes.publish({ clubId, topic: "events" });
      return reply.code(201).send(toEvent(row));
    },
  );

  app.put(
    "/clubs/:clubId/events/:id",
    {
      config: { access: "build" },
      schema: { params: idParamsSchema, body: eventWriteSchema, response: { 200: eventSchema } },
    },
    async (request) => {
      const { clubId } = placeOf(request);
      const { id } = request.params;
      const { version, archived, ...input } = request.body;
      const { row, isRefused } = await sequelize.transaction(async (transaction) => {
        const found = await models.EventType.findOne({
          where: { id, clubId },
          transaction,
          lock: transaction.LOCK.UPDATE,
        });
        if (!found) throw notFound("event");
        const wanted = { archived, ...columns(input) };
        // The same edit again: its answer was lost on the way, so it counts as saved.
        const { name, body } = found;
        const isRepeated =
          found.version === version + 1 &&
          isDeepStrictEqual({ archived: found.archived, name, body }, wanted);
        if (isRepeated) return { row: found, isRefused: false };
        if (found.version !== version) return { row: found, isRefused: true };
        await found.update({ ...wanted, version: version + 1 }, { transaction });
        await audit(context, transaction, request, "event.change", {
          clubId,
          id,
          detail: { version: version + 1 },
        });
        return { row: found, isRefused: false };
      });
      if (isRefused) throw versionConflict("event", toEvent(row));
      changes.publish({ clubId, topic: "events" });
      return toEvent(row);
    },
  );
  done();
};

function columns({ name, ...body }: EventInput) {
  return { name, body };
}

/** The answer for an event's row. */
export function toEvent({ id, version, archived, name, body }: EventTypeRow): ClubEvent {
  return { id, version, archived, name, ...body };
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
