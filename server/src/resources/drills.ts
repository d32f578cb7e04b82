import { randomUUID } from "node:crypto";
import { isDeepStrictEqual } from "node:util";
import { drillContent, linkFault } from "@tonodrome/core";
import {
  clubParamsSchema,
  type Drill,
  type DrillInput,
  drillInputSchema,
  drillListSchema,
  drillSchema,
  drillWriteSchema,
  idParamsSchema,
} from "@tonodrome/core/api";
import { QueryTypes, type Transaction } from "sequelize";
import { placeOf } from "../access/access";
import { audit } from "../access/audit";
import { checkRoom } from "../access/quota";
import type { Database } from "../db/connect";
import type { DrillRow } from "../db/models/rows";
import { notFound, Refusal, versionConflict } from "../errors";
import { judge, write } from "../write";
import type { Resource } from "./context";

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
      const { clubId } = placeOf(request);
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
      const { clubId } = placeOf(request);
      const { id = randomUUID(), ...input } = request.body;
      const make = async (transaction: Transaction) => {
        const before = await models.Drill.findOne({ where: { clubId, id }, transaction });
        if (before) return toDrill(before);
        await checkRoom(context, models.Drill, "drills", clubId, { clubId }, transaction);
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
      const { clubId } = placeOf(request);
      const { id } = request.params;
      const { version, ...wanted } = request.body;
      const change = async (transaction: Transaction) => {
        const found = await models.Drill.findOne({
          where: { id, clubId },
          transaction,
          lock: transaction.LOCK.UPDATE,
        });
        if (!found) throw notFound("drill");
        const now = { archived: found.archived, ...contentOf(found) };
        const judged = judge(found.version, version, () => isDeepStrictEqual(now, wanted));
        if (judged === "repeated") return toDrill(found);
        if (judged === "stale") throw versionConflict("drill", toDrill(found));
        const wasArchived = found.archived;
        await checkLinks(context, { id, clubId, ...wanted }, transaction);
        await found.update(
          { ...wanted, details: wanted.details ?? null, version: version + 1, changedAt: new Date() },
          { transaction },
        );
        const deed =
          wasArchived === wanted.archived
            ? "drill.change"
            : wanted.archived
              ? "drill.archive"
              : "drill.restore";
        await audit(context, transaction, request, deed, { clubId, id, detail: { version: version + 1 } });
        return toDrill(found);
      };
      return write(context, reply, change, after(clubId));
    },
  );
  done();
};

/** Its content as it was sent: what is not known of it is left out. */
function contentOf(row: DrillRow) {
  const { name, phase, priority, intensity, dose, focus, place, details } = row;
  return drillContent({
    name,
    phase,
    priority,
    intensity,
    dose,
    focus,
    place,
    details: details ?? undefined,
  });
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
  // Two edits at the same moment must not close a circle between them.
  await sequelize.query("SELECT pg_advisory_xact_lock(hashtextextended($1, 4))", {
    bind: [clubId],
    transaction,
  });
  const rows = await models.Drill.findAll({
    where: { clubId },
    attributes: ["id", "name", "details"],
    transaction,
  });
  const shelf = rows.map((row) => ({ id: row.id, name: row.name, details: row.details ?? undefined }));
  const fault = linkFault(drill, shelf);
  if (fault) throw new Refusal("invalid_input", fault.message, { path: `details.${fault.link}` });
}

/** The answer for a drill's row. */
export function toDrill(row: DrillRow): Drill {
  const { id, version, archived, changedAt } = row;
  return { id, version, archived, changedAt: changedAt.toISOString(), ...contentOf(row) };
}
