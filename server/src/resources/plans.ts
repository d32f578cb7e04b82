import { isDeepStrictEqual } from "node:util";
import {
  idParamsSchema,
  type Plan,
  planEditListSchema,
  planSchema,
  planWriteSchema,
} from "@tonodrome/core/api";
import { placeOf, sessionOf } from "../access/access";
import { audit } from "../access/audit";
import type { Along } from "../access/session";
import type { PlanRow } from "../db/models/rows";
import { notFound, versionConflict } from "../errors";
import type { Resource } from "./context";

const params = idParamsSchema;

/** The whole answer as text: what was checked when it was written need not be taken apart and put together again. */
const READ: Along = {
  name: "plan",
  sql: `SELECT json_build_object('id', p.id, 'version', p.version, 'body', p.body)::text FROM plans p
    WHERE p.club_id = $2 AND p.id = $3 AND (asker.role <> 'athlete' OR EXISTS (
      SELECT 1 FROM starts s WHERE s.club_id = p.club_id AND s.id = p.start_id AND s.athlete_id = asker."athleteId"))`,
};

/** Plans of starts, and every edit that was ever made to them. */
export const plans: Resource = (context) => (app, _options, done) => {
  const { sequelize, models, changes } = context;

  app.get(
    "/clubs/:clubId/plans/:id",
    { config: { access: "see", along: READ }, schema: { params, response: { 200: planSchema } } },
    async (request, reply) => {
      const { along } = sessionOf(request);
      if (along === null) throw notFound("plan");
      return reply.type("application/json; charset=utf-8").send(along as never);
    },
  );

  app.put(
    "/clubs/:clubId/plans/:id",
    { config: { access: "build" }, schema: { params, body: planWriteSchema, response: { 200: planSchema } } },
    async (request) => {
      const { clubId } = placeOf(request);
      const { version, body } = request.body;
      const { id } = request.params;
      const answer = await sequelize.transaction(async (transaction) => {
        const row = await models.Plan.findOne({
          where: { id, clubId },
          transaction,
          lock: transaction.LOCK.UPDATE,
        });
        if (!row) throw notFound("plan");
        // The same edit again: its answer was lost on the way, so it counts as saved.
        const repeated = row.version === version + 1 && isDeepStrictEqual(row.body, body);
        if (repeated) return { row, refused: false };
        const refused = row.version !== version;
        const edit = { clubId, planId: row.id, body };
        const deed = { clubId, id, detail: { version } };
        if (refused) {
          const kept = await models.PlanEdit.findAll({
            where: { clubId, planId: row.id, version, outcome: "refused" },
            transaction,
          });
          // A client that asks again is refused again, but its edit need not be kept twice.
          if (!kept.some((k) => isDeepStrictEqual(k.body, body))) {
            await models.PlanEdit.create({ ...edit, version, outcome: "refused" }, { transaction });
            await audit(context, transaction, request, "plan.refuse", deed);
          }
          return { row, refused };
        }
        await row.update({ version: version + 1, body }, { transaction });
        await models.PlanEdit.create({ ...edit, version: version + 1, outcome: "saved" }, { transaction });
        await audit(context, transaction, request, "plan.save", {
          ...deed,
          detail: { version: version + 1 },
        });
        return { row, refused };
      });
      if (answer.refused) throw versionConflict("warm-up", toPlan(answer.row));
      changes.publish({ clubId, topic: "starts", id: answer.row.startId });
      return toPlan(answer.row);
    },
  );

  app.get(
    "/clubs/:clubId/plans/:id/edits",
    { config: { access: "read" }, schema: { params, response: { 200: planEditListSchema } } },
    async (request) => {
      const { clubId } = placeOf(request);
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
