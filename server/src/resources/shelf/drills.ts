import { randomUUID } from "node:crypto";
import { isDeepStrictEqual } from "node:util";
import { linkFault, pathText } from "@tonodrome/core";
import {
  clubParamsSchema,
  type DrillInput,
  drillInputSchema,
  drillListSchema,
  drillSchema,
  drillWriteSchema,
  idParamsSchema,
} from "@tonodrome/core/api";
import { QueryTypes, type Transaction } from "sequelize";
import { askerOf } from "../../access/access";
import { audit } from "../../access/audit";
import { checkQuota } from "../../access/quota";
import { contentOf, toDrill } from "../../answers/drill";
import type { Database } from "../../db/connect";
import { Refusal } from "../../errors/refusal";
import { lockLinks } from "../../write/lockLinks";
import { write } from "../../write/write";
import { writeVersioned } from "../../write/writeVersioned";
import type { Resource } from "../context";

/** How many of a club's warm-ups are looked through, newest first, for what is used. */
const LOOKED_THROUGH = 300;

const USES = `
  SELECT item ->> 'drillId' AS id, count(DISTINCT p.id)::int AS uses
  FROM (SELECT id, body FROM plans WHERE club_id = $1 ORDER BY created_at DESC LIMIT ${LOOKED_THROUGH}) p,
    jsonb_array_elements(p.body -> 'items') item
  WHERE item ->> 'drillId' IS NOT NULL GROUP BY 1`;

/** The club's shelf. */
export const drills: Resource = (context) => (app, _options, done) => {
  const { sequelize, models, changes } = context;
  const after = (clubId: string) => ({ after: () => changes.publish({ clubId, topic: "drills" }) });

  app.get(
    "/clubs/:clubId/drills",
    { config: { access: "read" }, schema: { params: clubParamsSchema, response: { 200: drillListSchema } } },
    async (request) => {
      const { clubId } = askerOf(request);
      const rows = await models.Drill.findAll({ where: { clubId }, order: ["name", "id"] });
      const counted = await sequelize.query<{ id: string; uses: number }>(USES, {
        bind: [clubId],
        type: QueryTypes.SELECT,
      });
      const uses = new Map(counted.map((c) => [c.id, c.uses]));
      return { drills: rows.map((row) => ({ ...toDrill(row), uses: uses.get(row.id) ?? 0 })) };
    },
  );

  app.post(
    "/clubs/:clubId/drills",
    {
      config: { access: "build" },
      schema: { params: clubParamsSchema, body: drillInputSchema, response: { 201: drillSchema } },
    },
    async (request, reply) => {
      const { clubId } = askerOf(request);
      const { id = randomUUID(), ...input } = request.body;
      const make = async (transaction: Transaction) => {
        const before = await models.Drill.findOne({ where: { clubId, id }, transaction });
        if (before) return toDrill(before);
        await checkQuota(context, models.Drill, "drills", clubId, { clubId }, transaction);
        const drill = { id, clubId, ...input };
        await checkLinks(context, drill, transaction);
        const made = await models.Drill.create(drill, { transaction });
        await audit(context, transaction, request, "drill.make", { clubId, id });
        return toDrill(made);
      };
      return write(context, reply, make, { status: 201, ...after(clubId) });
    },
  );

  app.put(
    "/clubs/:clubId/drills/:id",
    {
      config: { access: "build" },
      schema: { params: idParamsSchema, body: drillWriteSchema, response: { 200: drillSchema } },
    },
    async (request, reply) => {
      const { clubId } = askerOf(request);
      const { id } = request.params;
      const { version, ...wanted } = request.body;
      const change = (transaction: Transaction) =>
        writeVersioned(transaction, {
          what: "drill",
          against: version,
          find: (locked) => models.Drill.findOne({ where: { id, clubId }, ...locked }),
          answer: toDrill,
          isSame: (row) => isDeepStrictEqual({ archived: row.archived, ...contentOf(row) }, wanted),
          change: async (row, next, before) => {
            await checkLinks(context, { id, clubId, ...wanted }, transaction);
            await row.update(
              { ...wanted, details: wanted.details ?? null, version: next, changedAt: new Date() },
              { transaction },
            );
            const deed = deedOf(before.archived, wanted.archived);
            await audit(context, transaction, request, deed, { clubId, id, detail: { version: next } });
            return toDrill(row);
          },
        });
      return write(context, reply, change, after(clubId));
    },
  );
  done();
};

/** What a change of a drill is called in the trail. */
function deedOf(wasArchived: boolean, isArchived: boolean) {
  if (wasArchived === isArchived) return "drill.change";
  return isArchived ? "drill.archive" : "drill.restore";
}

/**
 * Every drill that is named as an alternative is on the club's shelf, and none leads back to where it began.
 * @throws Refusal `invalid_input` at the link that is wrong
 */
async function checkLinks(
  { sequelize, models }: Database,
  drill: Pick<DrillInput, "name" | "details"> & { id: string; clubId: string },
  transaction: Transaction,
): Promise<void> {
  const { details, clubId } = drill;
  if (!details?.easier && !details?.harder && !details?.instead) return;
  await lockLinks({ sequelize }, clubId, transaction);
  const rows = await models.Drill.findAll({
    where: { clubId },
    attributes: ["id", "name", "details"],
    transaction,
  });
  const shelf = rows.map((row) => ({ id: row.id, name: row.name, details: row.details ?? undefined }));
  const fault = linkFault(drill, shelf);
  if (fault)
    throw new Refusal("invalid_input", fault.message, { path: pathText(["details", ...fault.path]) });
}
