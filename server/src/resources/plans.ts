import { isDeepStrictEqual } from "node:util";
import {
  idParamsSchema,
  MOST,
  type Plan,
  planEditListSchema,
  planEditQuerySchema,
  planSchema,
  planWriteSchema,
} from "@tonodrome/core/api";
import { Op, type Transaction } from "sequelize";
import { placeOf, sessionOf } from "../access/access";
import { audit } from "../access/audit";
import type { Along } from "../access/session";
import type { PlanRow } from "../db/models/rows";
import { notFound, versionConflict } from "../errors";
import { judge, write } from "../write";
import type { Resource } from "./context";

const params = idParamsSchema;

/** The whole answer as text: what was checked when it was written need not be taken apart and put together again. */
const READ: Along = {
  name: "plan",
  sql: `SELECT json_build_object('id', p.id, 'version', p.version, 'body', p.body)::text FROM plans p
    WHERE p.club_id = $2 AND p.id = $3 AND (asker.role <> 'athlete' OR EXISTS (
      SELECT 1 FROM starts s WHERE s.club_id = p.club_id AND s.id = p.start_id AND s.athlete_id = asker."athleteId"))`,
};

/** Plans of starts, and the edits that were made to them. */
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
    async (request, reply) => {
      const { clubId } = placeOf(request);
      const { version, body } = request.body;
      const { id } = request.params;
      let startId = "";
      const save = async (transaction: Transaction) => {
        const row = await models.Plan.findOne({
          where: { id, clubId },
          transaction,
          lock: transaction.LOCK.UPDATE,
        });
        if (!row) throw notFound("plan");
        startId = row.startId;
        const judged = judge(row.version, version, () => isDeepStrictEqual(row.body, body));
        if (judged === "repeated") return toPlan(row);
        const edit = { clubId, planId: id, body };
        if (judged === "stale") {
          const kept = await models.PlanEdit.findAll({
            where: { clubId, planId: id, version, outcome: "refused" },
            transaction,
          });
          // A client that asks again is refused again, but its edit need not be kept twice.
          if (!kept.some((k) => isDeepStrictEqual(k.body, body))) {
            await models.PlanEdit.create({ ...edit, version, outcome: "refused" }, { transaction });
            await forgetOldest(clubId, id, "refused", transaction);
            await audit(context, transaction, request, "plan.refuse", { clubId, id, detail: { version } });
          }
          return versionConflict("warm-up", toPlan(row));
        }
        await row.update({ version: version + 1, body }, { transaction });
        await models.PlanEdit.create({ ...edit, version: version + 1, outcome: "saved" }, { transaction });
        await forgetOldest(clubId, id, "saved", transaction);
        const detail = { version: version + 1 };
        await audit(context, transaction, request, "plan.save", { clubId, id, detail });
        return toPlan(row);
      };
      return write(context, reply, save, {
        after: () => changes.publish({ clubId, topic: "starts", id: startId }),
      });
    },
  );

  /** Of edits beyond the most that are kept the oldest go; what stands is never among them. */
  async function forgetOldest(
    clubId: string,
    planId: string,
    outcome: "saved" | "refused",
    transaction: Transaction,
  ): Promise<void> {
    await sequelize.query(
      `DELETE FROM plan_edits WHERE club_id = $1 AND plan_id = $2 AND outcome = $3 AND id <= (
        SELECT id FROM plan_edits WHERE club_id = $1 AND plan_id = $2 AND outcome = $3
        ORDER BY id DESC OFFSET ${MOST.edits} LIMIT 1)`,
      { bind: [clubId, planId, outcome], transaction },
    );
  }

  app.get(
    "/clubs/:clubId/plans/:id/edits",
    {
      config: { access: "read" },
      schema: { params, querystring: planEditQuerySchema, response: { 200: planEditListSchema } },
    },
    async (request) => {
      const { clubId } = placeOf(request);
      const { before, outcome } = request.query;
      const plan = await models.Plan.findOne({ where: { id: request.params.id, clubId } });
      if (!plan) throw notFound("plan");
      const rows = await models.PlanEdit.findAll({
        where: {
          clubId,
          planId: plan.id,
          ...(outcome ? { outcome } : {}),
          ...(before ? { id: { [Op.lt]: before } } : {}),
        },
        order: [["id", "DESC"]],
        limit: MOST.page + 1,
      });
      const page = rows.slice(0, MOST.page);
      return {
        edits: page.map(({ id, version, outcome: became, at, body }) => ({
          id: String(id),
          version,
          outcome: became,
          at: at.toISOString(),
          body,
        })),
        next: rows.length > MOST.page ? String(page.at(-1)?.id) : null,
      };
    },
  );
  done();
};

/** The answer for a plan's row. */
export function toPlan({ id, version, body }: PlanRow): Plan {
  return { id, version, body };
}
