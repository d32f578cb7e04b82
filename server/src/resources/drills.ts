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
import type { Database } from "../db/connect";
import type { DrillRow } from "../db/models/rows";
import { notFound, Refusal, versionConflict } from "../errors";
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
      const row = await sequelize.transaction(async (transaction) => {
        const drill = { id: randomUUID(), clubId, ...request.body };
        await checkLinks(context, drill, transaction);
        const made = await models.Drill.create(drill, { transaction });
        await audit(context, transaction, request, "drill.make", { clubId, id: made.id });
        return made;
      });
      changes.publish({ clubId, topic: "drills" });
      return reply.code(201).send(toDrill(row));
    },
  );

  app.put(
    "/clubs/:clubId/drills/:id",
    {
      config: { access: "build" },
      schema: { params: idParamsSchema, body: drillWriteSchema, response: { 200: drillSchema } },
    },
    async (request) => {
      const { clubId } = placeOf(request);
      const { id } = request.params;
      const { version, ...wanted } = request.body;
      const { row, isRefused } = await sequelize.transaction(async (transaction) => {
        const found = await models.Drill.findOne({
          where: { id, clubId },
          transaction,
          lock: transaction.LOCK.UPDATE,
        });
        if (!found) throw notFound("drill");
        // The same edit again: its answer was lost on the way, so it counts as saved.
        const now = { archived: found.archived, ...contentOf(found) };
        if (found.version === version + 1 && isDeepStrictEqual(now, wanted))
          return { row: found, isRefused: false };
        if (found.version !== version) return { row: found, isRefused: true };
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
        return { row: found, isRefused: false };
      });
      if (isRefused) throw versionConflict("drill", toDrill(row));
      changes.publish({ clubId, topic: "drills" });
      return toDrill(row);
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
