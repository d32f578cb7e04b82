import { randomUUID } from "node:crypto";
import {
  clubParamsSchema,
  type Drill,
  drillInputSchema,
  drillListSchema,
  drillSchema,
} from "@tonodrome/core/api";
import { placeOf } from "../access/access";
import { audit } from "../access/audit";
import type { DrillRow } from "../db/models/rows";
import type { Resource } from "./context";

/** The club's shelf. */
export const drills: Resource = (context) => (app, _options, done) => {
  const { sequelize, models, changes } = context;

  app.get(
    "/clubs/:clubId/drills",
    { config: { access: "read" }, schema: { params: clubParamsSchema, response: { 200: drillListSchema } } },
    async (request) => {
      const { clubId } = placeOf(request);
      const rows = await models.Drill.findAll({ where: { clubId }, order: ["name", "id"] });
      return { drills: rows.map(toDrill) };
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
        const made = await models.Drill.create(
          { id: randomUUID(), clubId, ...request.body },
          { transaction },
        );
        await audit(context, transaction, request, "drill.make", { clubId, id: made.id });
        return made;
      });
      changes.publish({ clubId, topic: "drills" });
      return reply.code(201).send(toDrill(row));
    },
  );
  done();
};

/** The answer for a drill's row. */
export function toDrill({ id, name, phase, priority, intensity, dose, focus, place }: DrillRow): Drill {
  return { id, name, phase, priority, intensity, dose, focus, place };
}
