import { clubParamsSchema, startListInputSchema, startListNewsSchema } from "@tonodrome/core/api";
import type { RowNews } from "@tonodrome/core/start-list";
import type { Transaction } from "sequelize";
import { placeOf } from "../access/access";
import { audit } from "../access/audit";
import type { Change } from "../live/changes";
import { hangUpOf } from "../work/hangUp";
import { takeAgreed } from "../write/takeAgreed";
import { compareWithClub, takeStartList } from "../write/takeStartList";
import { write } from "../write/write";
import type { Resource } from "./context";

/** The most rows there may be, each as long as it may be, in UTF-8. */
const MOST_BYTES = 4_194_304;

/** A start list: compared with what there is, and taken as it was compared, as a whole or not at all. */
export const startList: Resource = (context) => (app, _options, done) => {
  app.post(
    "/clubs/:clubId/start-list",
    {
      config: { access: "build" },
      bodyLimit: MOST_BYTES,
      schema: {
        params: clubParamsSchema,
        body: startListInputSchema,
        response: { 200: startListNewsSchema },
      },
    },
    async (request, reply) => {
      const { clubId, userId } = placeOf(request);
      const { rows, agreed } = request.body;
      const how = { whose: userId, signal: hangUpOf(reply) };
      const stale = "The club's starts have changed";
      const isDone = (news: RowNews[]) => news.every(({ state }) => state === "same" || state === "other");
      if (agreed === null) {
        const news = await compareWithClub(context, clubId, request.body, null, how);
        const told = await takeAgreed({
          news,
          agreed,
          stale,
          isDone: isDone(news),
          take: async () => undefined,
        });
        return { rows: news.map(rowOf), ...told };
      }
      let runs: Change[] = [];
      const take = async (transaction: Transaction) => {
        await context.sequelize.query("SELECT pg_advisory_xact_lock(hashtextextended($1, 7))", {
          bind: [`start-list ${clubId}`],
          transaction,
        });
        const news = await compareWithClub(context, clubId, request.body, transaction, how);
        const told = await takeAgreed({
          ...{ news, agreed, stale, isDone: isDone(news) },
          take: async () => {
            const { told: toTell, ...detail } = await takeStartList(context, clubId, rows, news, transaction);
            runs = toTell;
            await audit(context, transaction, request, "list.take", { clubId, detail });
          },
        });
        return { rows: news.map(rowOf), ...told };
      };
      return write(context, reply, take, {
        after: ({ taken }) => {
          if (!taken) return;
          context.changes.publish({ clubId, topic: "athletes" });
          context.changes.publish({ clubId, topic: "starts" });
          for (const change of runs) context.changes.publish(change);
        },
      });
    },
  );
  done();
};

const rowOf = (row: RowNews) => ({
  line: row.line,
  athlete: row.athlete,
  title: row.title,
  state: row.state,
  changed: row.state === "changed" ? row.changed : [],
  message: row.state === "fault" ? row.message : null,
});
