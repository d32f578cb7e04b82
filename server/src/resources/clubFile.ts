import { clubFileSchema, clubParamsSchema, doneSchema } from "@tonodrome/core/api";
import { placeOf } from "../access/access";
import { audit } from "../access/audit";
import { lockClub } from "../access/ownership";
import { exportClub } from "../clubFile/exportClub";
import { importClub } from "../clubFile/importClub";
import type { Resource } from "./context";

/** A whole club out, and into an empty one. */
export const clubFile: Resource = (context) => (app, _options, done) => {
  const { sequelize, changes } = context;

  app.get(
    "/clubs/:clubId/export",
    { config: { access: "build" }, schema: { params: clubParamsSchema } },
    async (request, reply) => {
      const { clubId } = placeOf(request);
      const text = await exportClub(context, clubId);
      await sequelize.transaction((t) => audit(context, t, request, "club.export", { clubId }));
      return reply
        .type("application/json")
        .header("content-disposition", 'attachment; filename="tonodrome-club.json"')
        .header("cache-control", "no-store")
        .send(text);
    },
  );

  app.post(
    "/clubs/:clubId/import",
    {
      config: { access: "build" },
      bodyLimit: context.importLimit,
      schema: { params: clubParamsSchema, body: clubFileSchema, response: { 200: doneSchema } },
    },
    async (request) => {
      const { clubId } = placeOf(request);
      await sequelize.transaction(async (transaction) => {
        await lockClub(context, clubId, transaction);
        await importClub(context, clubId, request.body, transaction);
        await audit(context, transaction, request, "club.import", { clubId });
      });
      for (const topic of ["club", "athletes", "drills", "starts", "runs"] as const) {
        changes.publish({ clubId, topic });
      }
      return { done: true as const };
    },
  );
  done();
};
