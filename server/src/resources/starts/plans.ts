import { isDeepStrictEqual } from "node:util";
import {
  idParamsSchema,
  MOST,
  planEditListSchema,
  planEditQuerySchema,
  planSchema,
  planWriteSchema,
} from "@tonodrome/core/api";
import { Op, QueryTypes, type Transaction } from "sequelize";
import { askerOf, sessionOf } from "../../access/access";
import { audit } from "../../access/audit";
import type { Along } from "../../access/session/session";
import { toPlan } from "../../answers/plan";
import { notFound } from "../../errors/refusal";
import { write } from "../../write/write";
import { writeVersioned } from "../../write/writeVersioned";
import type { Resource } from "../context";

const params = idParamsSchema;

/** The whole answer as text: what was checked when it was written need not be taken apart and put together again. */
const READ: Along = {
  name: "plan",
  sql: `SELECT json_build_object('id', p.id, 'version', p.version, 'body', p.body)::text FROM plans p
    JOIN starts s ON s.club_id = p.club_id AND s.id = p.start_id AND s.deleted_at IS NULL
    WHERE p.club_id = $2 AND p.id = $3 AND (asker.role <> 'athlete' OR s.athlete_id = asker."athleteId")`,
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
      const { clubId } = askerOf(request);
      const { version, body } = request.body;
      const { id } = request.params;
      let startId = "";
      const edit = { clubId, planId: id, body };
      const save = (transaction: Transaction) =>
        writeVersioned(transaction, {
          what: "warm-up",
          against: version,
          find: async (locked) => {
            const row = await models.Plan.findOne({ where: { id, clubId }, ...locked });
            startId = row?.startId ?? "";
            return row && (await isStanding(clubId, startId, transaction)) ? row : null;
          },
          answer: toPlan,
          isSame: (row) => isDeepStrictEqual(row.body, body),
          change: async (row, next) => {
            await row.update({ version: next, body }, { transaction });
            await models.PlanEdit.create({ ...edit, version: next, outcome: "saved" }, { transaction });
            await forgetOldest(clubId, id, "saved", transaction);
            const detail = { version: next };
            await audit(context, transaction, request, "plan.save", { clubId, id, detail });
            return toPlan(row);
          },
          whoWrote: () => lastSaver(clubId, id, transaction),
          keepRefused: async () => {
            const kept = await models.PlanEdit.findAll({
              where: { clubId, planId: id, version, outcome: "refused" },
              transaction,
            });
            // A client that asks again is refused again, but its edit need not be kept twice.
            if (kept.some((k) => isDeepStrictEqual(k.body, body))) return;
            await models.PlanEdit.create({ ...edit, version, outcome: "refused" }, { transaction });
            await forgetOldest(clubId, id, "refused", transaction);
            await audit(context, transaction, request, "plan.refuse", { clubId, id, detail: { version } });
          },
        });
      return write(context, reply, save, {
        after: () => changes.publish({ clubId, topic: "starts", id: startId }),
      });
    },
  );

  /** Whether a plan's start was not deleted. */
  async function isStanding(clubId: string, id: string, transaction?: Transaction): Promise<boolean> {
    return (await models.Start.count({ where: { clubId, id }, transaction })) > 0;
  }

  /** The name of whoever saved a plan last; unknown where they are no member any more. */
  async function lastSaver(
    clubId: string,
    id: string,
    transaction: Transaction,
  ): Promise<string | undefined> {
    const [found] = await sequelize.query<{ name: string }>(
      `SELECT u.name FROM audit_entries a
      JOIN members m ON m.club_id = a.club_id AND m.user_id = a.user_id
      JOIN users u ON u.id = a.user_id
      WHERE a.club_id = $1 AND a.subject_id = $2 AND a.action = 'plan.save' ORDER BY a.id DESC LIMIT 1`,
      { bind: [clubId, id], type: QueryTypes.SELECT, transaction },
    );
    return found?.name;
  }

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
      const { clubId } = askerOf(request);
      const { before, outcome } = request.query;
      const plan = await models.Plan.findOne({ where: { id: request.params.id, clubId } });
      if (!plan || !(await isStanding(clubId, plan.startId))) throw notFound("plan");
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
