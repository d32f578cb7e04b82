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
import { checkRoom } from "../access/quota";
import type { Database } from "../db/connect";
import type { EventTypeRow } from "../db/models/rows";
import { notFound, Refusal, versionConflict } from "../errors";
import { judge, write } from "../write";
import type { Resource } from "./context";

/** The club's events. */
export const events: Resource = (context) => (app, _options, done) => {
  const { models, changes } = context;
  const after = (clubId: string) => ({ after: () => changes.publish({ clubId, topic: "events" }) });

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
      const { id = randomUUID(), ...input } = request.body;
      const make = async (transaction: Transaction) => {
        const before = await models.EventType.findOne({ where: { clubId, id }, transaction });
        if (before) return toEvent(before);
        await checkRoom(context, models.EventType, "events", clubId, { clubId }, transaction);
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
      const { clubId } = placeOf(request);
      const { id } = request.params;
      const { version, archived, ...input } = request.body;
      const change = async (transaction: Transaction) => {
        const found = await models.EventType.findOne({
          where: { id, clubId },
          transaction,
          lock: transaction.LOCK.UPDATE,
        });
        if (!found) throw notFound("event");
        const wanted = { archived, ...columns(input) };
        const { name, body } = found;
        const judged = judge(found.version, version, () =>
          isDeepStrictEqual({ archived: found.archived, name, body }, wanted),
        );
        if (judged === "repeated") return toEvent(found);
        if (judged === "stale") throw versionConflict("event", toEvent(found));
        await found.update({ ...wanted, version: version + 1 }, { transaction });
        await audit(context, transaction, request, "event.change", {
          clubId,
          id,
          detail: { version: version + 1 },
        });
        return toEvent(found);
      };
      return write(context, reply, change, after(clubId));
    },
  );
  done();
};

function columns({ name, ...body }: Omit<EventInput, "id">) {
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
