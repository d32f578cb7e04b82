import { z } from "zod";
import { Refusal } from "../errors";
import type { Resource } from "./context";

/**
 * `/health` says the process answers. `/ready` says that it can do its work: its database answers and it is not about
 * to stop, so that a balancer sends people elsewhere in time.
 */
export const health: Resource =
  ({ sequelize }) =>
  (app, _options, done) => {
    const okSchema = z.strictObject({ ok: z.literal(true) });
    let isStopping = false;
    app.addHook("preClose", async () => {
      isStopping = true;
    });
    app.get("/health", { schema: { response: { 200: okSchema } } }, () => ({ ok: true as const }));
    app.get("/ready", { schema: { response: { 200: okSchema } } }, async () => {
      if (isStopping) throw new Refusal("unavailable", "This server is stopping. Ask another one.");
      await sequelize.query("SELECT 1");
      return { ok: true as const };
    });
    done();
  };
