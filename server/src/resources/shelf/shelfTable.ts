import { clubParamsSchema, shelfTableInputSchema, shelfTableNewsSchema } from "@tonodrome/core/api";
import type { DrillNews } from "@tonodrome/core/tables";
import { askerOf } from "../../access/access";
import { audit } from "../../access/audit";
import { hangUpOf } from "../../threads/hangUp";
import { takeAgreed } from "../../write/takeAgreed";
import { compareWithShelf, takeShelfTable } from "../../write/takeShelfTable";
import type { Resource } from "../context";

/** As many drills as a shelf may have, each as large as drills are; larger ones are few. */
const MOST_BYTES = 8_388_608;

/** A table of drills: compared with the shelf, and taken as it was compared, as a whole or not at all. */
export const shelfTable: Resource = (context) => (app, _options, done) => {
  app.post(
    "/clubs/:clubId/tables/shelf",
    {
      config: { access: "build" },
      bodyLimit: MOST_BYTES,
      schema: {
        params: clubParamsSchema,
        body: shelfTableInputSchema,
        response: { 200: shelfTableNewsSchema },
      },
    },
    async (request, reply) => {
      const { clubId, userId } = askerOf(request);
      const { agreed } = request.body;
      const how = { whose: userId, signal: hangUpOf(reply) };
      return takeAgreed(context, reply, {
        agreed,
        stale: "The shelf has changed",
        compare: (transaction) => compareWithShelf(context, clubId, request.body, transaction, how),
        isDone: (news) => news.every(({ state }) => state === "same"),
        async take(news, transaction) {
          const detail = await takeShelfTable(context, clubId, news, transaction);
          await audit(context, transaction, request, "shelf.take", { clubId, detail });
        },
        tell: (news) => ({ drills: news.map(rowOf) }),
        after: () => context.changes.publish({ clubId, topic: "drills" }),
      });
    },
  );
  done();
};

const rowOf = (row: DrillNews) => ({
  name: row.name,
  state: row.state,
  changed: row.state === "changed" ? row.changed : [],
  unlinked: row.unlinked,
  message: row.state === "fault" ? row.message : null,
});
