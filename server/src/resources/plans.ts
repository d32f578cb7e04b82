import { isDeepStrictEqual } from "node:util";
import {
  idParamsSchema,
  type Plan,
  planEditListSchema,
  planSchema,
  planWriteSchema,
} from "@tonodrome/core/api";
import type { PlanRow } from "../db/models";
import { notFound, versionConflict } from "../errors";
import type { Resource } from "./context";

export const plans: Resource =
  ({ sequelize, models, clubOf }) =>
  (app, _options, done) => {
    app.get(
      "/plans/:id",
      { schema: { params: idParamsSchema, response: { 200: planSchema } } },
      async (request) => {
        const row = await models.Plan.findOne({ where: { id: request.params.id, clubId: await clubOf() } });
        if (!row) throw notFound("plan");
        return toPlan(row);
      },
    );

    app.put(
      "/plans/:id",
      { schema: { params: idParamsSchema, body: planWriteSchema, response: { 200: planSchema } } },
      async (request) => {
        const clubId = await clubOf();
        const { version, body } = request.body;
        const answer = await sequelize.transaction(async (transaction) => {
          const row = await models.Plan.findOne({
            where: { id: request.params.id, clubId },
            transaction,
            lock: transaction.LOCK.UPDATE,
          });
          if (!row) throw notFound("plan");
          // The same edit again: its answer was lost on the way, so it counts as saved.
          const repeated = row.version === version + 1 && isDeepStrictEqual(row.body, body);
          if (repeated) return { row, refused: false };
          const refused = row.version !== version;
          const edit = { clubId, planId: row.id, body };
          if (refused) {
            const kept = await models.PlanEdit.findAll({
              where: { clubId, planId: row.id, version, outcome: "refused" },
              transaction,
            });
            // A client that asks again is refused again, but its edit need not be kept twice.
            if (!kept.some((k) => isDeepStrictEqual(k.body, body))) {
              await models.PlanEdit.create({ ...edit, version, outcome: "refused" }, { transaction });
            }
            return { row, refused };
          }
          await row.update({ version: version + 1, body }, { transaction });
          await models.PlanEdit.create({ ...edit, version: version + 1, outcome: "saved" }, { transaction });
          return { row, refused };
        });
        if (answer.refused) throw versionConflict("warm-up", toPlan(answer.row));
        return toPlan(answer.row);
      },
    );

    app.get(
      "/plans/:id/edits",
      { schema: { params: idParamsSchema, response: { 200: planEditListSchema } } },
      async (request) => {
        const clubId = await clubOf();
        const plan = await models.Plan.findOne({ where: { id: request.params.id, clubId } });
        if (!plan) throw notFound("plan");
        const rows = await models.PlanEdit.findAll({
          where: { clubId, planId: plan.id },
          order: [["id", "DESC"]],
          limit: 50,
        });
        return {
          edits: rows.map(({ version, outcome, at, body }) => ({
            version,
            outcome,
            at: at.toISOString(),
            body,
          })),
        };
      },
    );
    done();
  };

/** The answer for a plan's row. */
export function toPlan({ id, version, body }: PlanRow): Plan {
  return { id, version, body };
}
