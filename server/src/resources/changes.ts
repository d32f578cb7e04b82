import { clubParamsSchema } from "@tonodrome/core/api";
import { placeOf } from "../access/access";
import { findSession } from "../access/session";
import { streamChanges } from "../live/eventStream";
import type { Resource } from "./context";

/** The stream by which a page learns that something in its club may read differently. */
export const changes: Resource = (context) => (app, _options, done) => {
  app.get(
    "/clubs/:clubId/changes",
    { config: { access: "see" }, compress: false, schema: { params: clubParamsSchema, hide: true } },
    async (request, reply) => {
      const { clubId } = placeOf(request);
      return streamChanges(request, reply, context.changes, {
        clubId,
        concerns: () => true,
        mayStill: async () => Boolean((await findSession(context, request, clubId))?.role),
      });
    },
  );
  done();
};
