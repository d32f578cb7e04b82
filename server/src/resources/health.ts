import { z } from "zod";
import type { Resource } from "./context";

/** `/health` says the process answers; `/ready` that its database does too. */
export const health: Resource =
  ({ sequelize }) =>
  (app, _options, done) => {
    const okSchema = z.strictObject({ ok: z.literal(true) });
    app.get("/health", { schema: { response: { 200: okSchema } } }, () => ({ ok: true as const }));
    app.get("/ready", { schema: { response: { 200: okSchema } } }, async () => {
      await sequelize.query("SELECT 1");
      return { ok: true as const };
    });
    done();
  };
