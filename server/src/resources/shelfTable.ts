import { clubParamsSchema, shelfTableInputSchema, shelfTableNewsSchema } from "@tonodrome/core/api";
import type { DrillNews } from "@tonodrome/core/tables";
import type { Transaction } from "sequelize";
import { placeOf } from "../access/access";
import { audit } from "../access/audit";
import { hangUpOf } from "../work/hangUp";
import { takeAgreed } from "../write/takeAgreed";
import { compareWithShelf, takeShelfTable } from "../write/takeShelfTable";
import { write } from "../write/write";
import type { Resource } from "./context";

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
      const { clubId, userId } = placeOf(request);
      const how = { whose: userId, signal: hangUpOf(reply) };
      const take = async (transaction: Transaction) => {
        const news = await compareWithShelf(context, clubId, request.body, transaction, how);
        const told = await takeAgreed({
          ...{ news, agreed: request.body.agreed, stale: "The shelf has changed" },
          isDone: news.every(({ state }) => state === "same"),
          take: async () => {
            const detail = await takeShelfTable(context, clubId, news, transaction);
            await audit(context, transaction, request, "shelf.take", { clubId, detail });
          },
        });
        return { drills: news.map(rowOf), ...told };
      };
      return write(context, reply, take, {
        after: ({ taken }) => {
          if (taken) context.changes.publish({ clubId, topic: "drills" });
        },
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
