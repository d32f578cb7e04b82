import { randomUUID } from "node:crypto";
import { athleteInputSchema, athleteListSchema, athleteSchema } from "@tonodrome/core/api";
import type { Resource } from "./context";

export const athletes: Resource =
  ({ models, clubOf }) =>
  (app, _options, done) => {
    app.get("/athletes", { schema: { response: { 200: athleteListSchema } } }, async () => {
      const rows = await models.Athlete.findAll({ where: { clubId: await clubOf() }, order: ["name", "id"] });
      return { athletes: rows.map(({ id, name }) => ({ id, name })) };
    });

    app.post(
      "/athletes",
      { schema: { body: athleteInputSchema, response: { 201: athleteSchema } } },
      async (request, reply) => {
        const row = await models.Athlete.create({
          id: randomUUID(),
          clubId: await clubOf(),
          name: request.body.name,
        });
        return reply.code(201).send({ id: row.id, name: row.name });
      },
    );
    done();
  };
