import { randomUUID } from "node:crypto";
import { isDeepStrictEqual } from "node:util";
import {
  clubParamsSchema,
  doneSchema,
  idParamsSchema,
  MOST_AHEAD,
  type Order,
  type OrderInput,
  orderInputSchema,
  orderNowSchema,
  orderSchema,
  orderWriteSchema,
} from "@tonodrome/core/api";
import { withCall } from "@tonodrome/core/order";
import type { Transaction } from "sequelize";
import { askerOf } from "../../access/access";
import { audit } from "../../access/audit";
import { checkQuota } from "../../access/quota";
import { listedTime } from "../../answers/listedTime";
import type { AthleteRow, OrderRow, StartRow } from "../../db/models/rows";
import { notFound, Refusal } from "../../errors/refusal";
import type { Change } from "../../live/changes";
import { moveMembers, setMembers } from "../../write/orderMembers";
import { write } from "../../write/write";
import { writeVersioned } from "../../write/writeVersioned";
import type { Context, Resource } from "../context";

/** Running orders that are followed by hand: who is on now moves everybody of the club who comes after. */
export const orders: Resource = (context) => (app, _options, done) => {
  const { models, changes } = context;
  const params = idParamsSchema;
  const whole = { params, response: { 200: orderSchema } };
  /** Told of as starts: these are what is moved, and what shows that there is an order. */
  const after = (clubId: string) => ({ after: () => changes.publish({ clubId, topic: "starts" }) });

  async function find(clubId: string, id: string, transaction: Transaction) {
    const row = await models.Order.findOne({ where: { clubId, id }, transaction, lock: true });
    if (!row) throw notFound("running order");
    return row;
  }

  app.get("/clubs/:clubId/orders/:id", { config: { access: "read" }, schema: whole }, async (request) => {
    const { clubId } = askerOf(request);
    const { id } = request.params;
    const row = await models.Order.findOne({ where: { clubId, id } });
    if (!row) throw notFound("running order");
    return toOrder(context, row);
  });

  app.post(
    "/clubs/:clubId/orders",
    {
      config: { access: "build" },
      schema: { params: clubParamsSchema, body: orderInputSchema, response: { 201: orderSchema } },
    },
    async (request, reply) => {
      const { clubId } = askerOf(request);
      const { id = randomUUID(), starts, ...input } = request.body;
      const make = async (transaction: Transaction) => {
        const before = await models.Order.findOne({ where: { clubId, id }, transaction });
        if (before) return toOrder(context, before, transaction);
        await checkQuota(context, models.Order, "orders", clubId, { clubId }, transaction);
        const row = await models.Order.create(
          { id, clubId, version: 1, ...input, calls: [] },
          { transaction },
        );
        await setMembers(context, row, starts, transaction);
        await audit(context, transaction, request, "order.make", { clubId, id });
        return toOrder(context, row, transaction);
      };
      return write(context, reply, make, { status: 201, ...after(clubId) });
    },
  );

  app.put(
    "/clubs/:clubId/orders/:id",
    { config: { access: "build" }, schema: { ...whole, body: orderWriteSchema } },
    async (request, reply) => {
      const { clubId } = askerOf(request);
      const { id } = request.params;
      const { version, starts, ...input } = request.body;
      const change = (transaction: Transaction) =>
        writeVersioned(transaction, {
          what: "running order",
          against: version,
          find: (locked) => models.Order.findOne({ where: { clubId, id }, ...locked }),
          answer: (row) => toOrder(context, row, transaction),
          isSame: (_, before) => saysTheSame(before, { ...input, starts }),
          change: async (row, next) => {
            await row.update({ ...input, version: next }, { transaction });
            await setMembers(context, row, starts, transaction);
            const detail = { version: next };
            await audit(context, transaction, request, "order.change", { clubId, id, detail });
            return toOrder(context, row, transaction);
          },
        });
      return write(context, reply, change, after(clubId));
    },
  );

  app.delete(
    "/clubs/:clubId/orders/:id",
    { config: { access: "build" }, schema: { params, response: { 200: doneSchema } } },
    async (request, reply) => {
      const { clubId } = askerOf(request);
      const { id } = request.params;
      const remove = async (transaction: Transaction) => {
        const row = await find(clubId, id, transaction);
        await setMembers(context, row, [], transaction);
        await models.Order.destroy({ where: { clubId, id }, transaction });
        await audit(context, transaction, request, "order.delete", { clubId, id });
        return { done: true as const };
      };
      return write(context, reply, remove, after(clubId));
    },
  );

  app.post(
    "/clubs/:clubId/orders/:id/now",
    {
      // Whoever stands at the door with a phone says it.
      config: { access: "run" },
      schema: { ...whole, body: orderNowSchema },
    },
    async (request, reply) => {
      const { clubId } = askerOf(request);
      const { id } = request.params;
      const { number, at } = request.body;
      if (Date.parse(at) > Date.now() + MOST_AHEAD)
        throw new Refusal("invalid_input", "This was pressed later than it is now.", { path: "at" });
      let runs: Change[] = [];
      const call = async (transaction: Transaction) => {
        const row = await find(clubId, id, transaction);
        const last = row.slots.at(-1)?.number ?? 0;
        if (number > last)
          throw new Refusal("invalid_input", `The order ends with number ${last}.`, { path: "number" });
        const calls = withCall(row.calls, { number, at });
        // Sent again because the answer was lost, it is said once.
        if (isDeepStrictEqual(calls, row.calls)) return toOrder(context, row, transaction);
        await row.update({ calls, version: row.version + 1 }, { transaction });
        runs = await moveMembers(context, row, transaction);
        await audit(context, transaction, request, "order.now", { clubId, id, detail: { number } });
        return toOrder(context, row, transaction);
      };
      return write(context, reply, call, {
        after: () => {
          changes.publish({ clubId, topic: "starts" });
          for (const change of runs) changes.publish(change);
        },
      });
    },
  );
  done();
};

type Joined = StartRow & { athlete: AthleteRow };

/** A running order as it is answered, with the club's starts in it. */
async function toOrder({ models }: Context, row: OrderRow, transaction?: Transaction): Promise<Order> {
  const { id, clubId, version, title, venue, zone, slots, calls } = row;
  const members = await models.Start.findAll({
    where: { clubId, orderId: id },
    include: { association: "athlete", where: { clubId }, attributes: ["id", "name"] },
    order: ["orderNumber", "id"],
    transaction,
  });
  const starts = members.map((member) => {
    const start = member as unknown as Joined;
    return {
      id: start.id,
      number: start.orderNumber ?? 0,
      athlete: { id: start.athlete.id, name: start.athlete.name },
      title: start.title,
      startsAt: start.startsAt.toISOString(),
      listedAt: listedTime(start),
    };
  });
  return { id, version, title, venue, zone, slots, calls, starts };
}

function saysTheSame(order: Order, wanted: Omit<OrderInput, "id">): boolean {
  const { title, venue, zone, slots } = order;
  const starts = order.starts.map(({ id, number }) => ({ startId: id, number }));
  const byId = (list: OrderInput["starts"]) => [...list].sort((a, b) => (a.startId < b.startId ? -1 : 1));
  return isDeepStrictEqual(
    { title, venue, zone, slots, starts: byId(starts) },
    { ...wanted, starts: byId(wanted.starts) },
  );
}
