import { randomUUID } from "node:crypto";
import {
  clubParamsSchema,
  doneSchema,
  idParamsSchema,
  templateInputSchema,
  templateListSchema,
  templateSchema,
} from "@tonodrome/core/api";
import type { Transaction } from "sequelize";
import { askerOf } from "../../access/access";
import { audit } from "../../access/audit";
import { checkQuota } from "../../access/quota";
import { toTemplate } from "../../answers/template";
import { notFound } from "../../errors/refusal";
import { write } from "../../write/write";
import type { Resource } from "../context";

/** Warm-ups that the club begins others from. */
export const templates: Resource = (context) => (app, _options, done) => {
  const { models, changes } = context;
  const after = (clubId: string) => ({ after: () => changes.publish({ clubId, topic: "templates" }) });

  app.get(
    "/clubs/:clubId/templates",
    {
      config: { access: "read" },
      schema: { params: clubParamsSchema, response: { 200: templateListSchema } },
    },
    async (request) => {
      const { clubId } = askerOf(request);
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
      const { clubId } = askerOf(request);
      const { id = randomUUID(), ...input } = request.body;
      const make = async (transaction: Transaction) => {
        const before = await models.Template.findOne({ where: { clubId, id }, transaction });
        if (before) return toTemplate(before);
        await checkQuota(context, models.Template, "templates", clubId, { clubId }, transaction);
        const made = await models.Template.create({ id, clubId, ...input }, { transaction });
        await audit(context, transaction, request, "template.make", { clubId, id });
        return toTemplate(made);
      };
      return write(context, reply, make, { status: 201, ...after(clubId) });
    },
  );

  app.delete(
    "/clubs/:clubId/templates/:id",
    { config: { access: "build" }, schema: { params: idParamsSchema, response: { 200: doneSchema } } },
    async (request, reply) => {
      const { clubId } = askerOf(request);
      const { id } = request.params;
      const remove = async (transaction: Transaction) => {
        const count = await models.Template.destroy({ where: { id, clubId }, transaction });
        if (count === 0) throw notFound("template");
        await audit(context, transaction, request, "template.delete", { clubId, id });
        return { done: true as const };
      };
      return write(context, reply, remove, after(clubId));
    },
  );
  done();
};
