import { clubSchema } from "@tonodrome/core/api";
import { notFound } from "../errors";
import type { Resource } from "./context";

export const club: Resource =
  ({ models, clubOf }) =>
  (app, _options, done) => {
    app.get("/club", { schema: { response: { 200: clubSchema } } }, async () => {
      const row = await models.Club.findByPk(await clubOf());
      if (!row) throw notFound("club");
      return { id: row.id, name: row.name };
    });
    done();
  };
