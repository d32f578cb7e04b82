import { isDeepStrictEqual } from "node:util";
import { clubParamsSchema, figuresSchema } from "@tonodrome/core/api";
import { askerOf } from "../../access/access";
import { audit } from "../../access/audit";
import { checkFigures } from "../../validation/checkFigures";
import { write } from "../../write/write";
import { writeVersioned } from "../../write/writeVersioned";
import type { Resource } from "../context";

const params = clubParamsSchema;

/** Figures of checks that the club has of its own. */
export const figures: Resource = (context) => (app, _options, done) => {
  const { models, changes } = context;

  app.get(
    "/clubs/:clubId/figures",
    { config: { access: "see" }, schema: { params, response: { 200: figuresSchema } } },
    async (request) => {
      const row = await models.ClubFigures.findByPk(askerOf(request).clubId);
      return { version: row?.version ?? 1, figures: row?.figures ?? [] };
    },
  );

  app.put(
    "/clubs/:clubId/figures",
    {
      config: { access: "build" },
      schema: { params, body: figuresSchema, response: { 200: figuresSchema } },
    },
    async (request, reply) => {
      const { clubId } = askerOf(request);
      const { version, figures } = request.body;
      checkFigures(figures);
      return write(
        context,
        reply,
        async (transaction) => {
          await models.ClubFigures.findOrCreate({
            where: { clubId },
            defaults: { clubId, version: 1, figures: [] },
            transaction,
          });
          return writeVersioned(transaction, {
            what: "figures",
            against: version,
            find: (locked) => models.ClubFigures.findByPk(clubId, locked),
            answer: (row) => ({ version: row.version, figures: row.figures }),
            isSame: (row) => isDeepStrictEqual(row.figures, figures),
            change: async (row, next) => {
              await row.update({ version: next, figures }, { transaction });
              await audit(context, transaction, request, "figures.change", { clubId });
              return { version: next, figures };
            },
          });
        },
        { after: () => changes.publish({ clubId, topic: "club" }) },
      );
    },
  );
  done();
};
