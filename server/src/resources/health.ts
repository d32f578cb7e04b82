import { z } from "zod";
import { Refusal } from "../errors/refusal";
import type { Resource } from "./context";

/** A database that has not answered by then is away, milliseconds: a balancer does not wait longer. */
const PATIENCE_MS = 2_000;

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
      let timer: NodeJS.Timeout | undefined;
      const late = new Promise<never>((_resolve, reject) => {
        timer = setTimeout(
          () => reject(new Refusal("unavailable", "The database does not answer.")),
          PATIENCE_MS,
        );
      });
      const asked = sequelize.query("SELECT 1");
      // Once it is late its answer is ignored.
      asked.catch(() => undefined);
      await Promise.race([asked, late]).finally(() => clearTimeout(timer));
      return { ok: true as const };
    });
    done();
  };
