import { clubParamsSchema } from "@tonodrome/core/api";
import { askerOf } from "../../access/access";
import { findSession } from "../../access/session/session";
import { streamEvents } from "../../live/eventStream";
import type { Resource } from "../context";

/**
 * The stream by which a page learns that something in its club may read differently, which start or run it is, and the presses
 * that a run has more.
 */
export const changes: Resource = (context) => (app, _options, done) => {
  app.get(
    "/clubs/:clubId/changes",
    { config: { access: "see" }, compress: false, schema: { params: clubParamsSchema } },
    async (request, reply) => {
      const { clubId } = askerOf(request);
      return streamEvents(request, reply, context.changes, {
        clubId,
        tell: ({ topic, id, presses }) => ({ topic, ...(id ? { id } : {}), ...(presses ? { presses } : {}) }),
        mayStill: async () => Boolean((await findSession(context, request, clubId))?.role),
      });
    },
  );
  done();
};
