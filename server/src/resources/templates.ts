import { randomUUID } from "node:crypto";
import {
  clubParamsSchema,
  doneSchema,
  idParamsSchema,
  type Template,
  templateInputSchema,
  templateListSchema,
  templateSchema,
} from "@tonodrome/core/api";
import { placeOf } from "../access/access";
import { audit } from "../access/audit";
import type { TemplateRow } from "../db/models/rows";
import { notFound } from "../errors";
import type { Resource } from "./context";

/** Warm-ups that the club begins others from. */
export const templates: Resource = (context) => (app, _options, done) => {
  const { sequelize, models, changes } = context;

  app.get(
    "/clubs/:clubId/templates",
    {
      config: { access: "read" },
      schema: { params: clubParamsSchema, response: { 200: templateListSchema } },
    },
    async (request) => {
      const { clubId } = placeOf(request);
      const rows = await models.Template.findAll({ where: { clubId }, order: ["name", "id"] });
      return { templates: rows.map(toTemplate) };
    },
  );

  app.post(
    "/clubs/:clubId/templates",
    {
      config: { access: "build" },
      schema: { params: clubParamsSchema, body: templateInputSchema, response: { 201: templateSchema } },
    },
    async (request, reply) => {
      const { clubId } = placeOf(request);
      const row = await sequelize.transaction(async (transaction) => {
        const made = await models.Template.create(
          { id: randomUUID(), clubId, ...request.body },
          { transaction },
        );
        await audit(context, transaction, request, "template.make", { clubId, id: made.id });
        return made;
      });
      changes.publish({ clubId, topic: "templates" });
      return reply.code(201).send(toTemplate(row));
    },
  );

  app.delete(
    "/clubs/:clubId/templates/:id",
    { config: { access: "build" }, schema: { params: idParamsSchema, response: { 200: doneSchema } } },
    async (request) => {
      const { clubId } = placeOf(request);
      const { id } = request.params;
      await sequelize.transaction(async (transaction) => {
        const count = await models.Template.destroy({ where: { id, clubId }, transaction });
        if (count === 0) throw notFound("template");
        await audit(context, transaction, request, "template.delete", { clubId, id });
      });
      changes.publish({ clubId, topic: "templates" });
      return { done: true as const };
    },
  );
  done();
};

/** The answer for a template's row. */
export function toTemplate({ id, name, body, createdAt }: TemplateRow): Template {
  return { id, createdAt: createdAt.toISOString(), name, body };
}
