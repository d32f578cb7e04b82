import { randomUUID } from "node:crypto";
import { type Drill, drillInputSchema, drillListSchema, drillSchema } from "@tonodrome/core/api";
import type { DrillRow } from "../db/models";
import type { Resource } from "./context";

export const drills: Resource =
  ({ models, clubOf }) =>
  (app, _options, done) => {
    app.get("/drills", { schema: { response: { 200: drillListSchema } } }, async () => {
      const rows = await models.Drill.findAll({ where: { clubId: await clubOf() }, order: ["name", "id"] });
      return { drills: rows.map(toDrill) };
    });

    app.post(
      "/drills",
      { schema: { body: drillInputSchema, response: { 201: drillSchema } } },
      async (request, reply) => {
        const row = await models.Drill.create({
          id: randomUUID(),
          clubId: await clubOf(),
          ...request.body,
        });
        return reply.code(201).send(toDrill(row));
      },
    );
    done();
  };

function toDrill({ id, name, phase, priority, intensity, dose, focus, place }: DrillRow): Drill {
  return { id, name, phase, priority, intensity, dose, focus, place };
}
