import { clubParamsSchema, startListInputSchema, startListNewsSchema } from "@tonodrome/core/api";
import type { RowNews } from "@tonodrome/core/start-list";
import { askerOf } from "../../access/access";
import { audit } from "../../access/audit";
import type { Change } from "../../live/changes";
import { hangUpOf } from "../../threads/hangUp";
import { takeAgreed } from "../../write/takeAgreed";
import { compareWithClub, takeStartList } from "../../write/takeStartList";
import type { Resource } from "../context";

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
      const { clubId, userId } = askerOf(request);
      const { rows, agreed } = request.body;
      const how = { whose: userId, signal: hangUpOf(reply) };
      let runs: Change[] = [];
      return takeAgreed(context, reply, {
        agreed,
        stale: "The club's starts have changed",
        compare: (transaction) => compareWithClub(context, clubId, request.body, transaction, how),
        isDone: (news) => news.every(({ state }) => state === "same" || state === "other"),
        async take(news, transaction) {
          const { told, ...detail } = await takeStartList(context, clubId, rows, news, transaction);
          runs = told;
          await audit(context, transaction, request, "list.take", { clubId, detail });
        },
        tell: (news) => ({ rows: news.map(rowOf) }),
        after() {
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
