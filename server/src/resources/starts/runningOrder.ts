import { simulatedList, simulatedOrder } from "@tonodrome/core";
import { idParamsSchema, may, orderQuerySchema } from "@tonodrome/core/api";
import { askerOf } from "../../access/access";
import { findSession } from "../../access/session/session";
import { notFound } from "../../errors/refusal";
import { streamEvents } from "../../live/eventStream";
import type { Resource } from "../context";

/** How often it is looked whether there is news, milliseconds. */
const LOOK = 2_000;

/**
 * The running order of a start's competition, as a stream of server-sent events. There is no real one to follow yet: this
 * is a stand-in, and says so in everything it sends.
 */
export const runningOrder: Resource = (context) => (app, _options, done) => {
  app.get(
    "/clubs/:clubId/starts/:id/order/changes",
    {
      config: { access: "run" },
      compress: false,
      schema: { params: idParamsSchema, querystring: orderQuerySchema },
    },
    async (request, reply) => {
      const { clubId } = askerOf(request);
      const start = await context.models.Start.findOne({ where: { clubId, id: request.params.id } });
      if (!start) throw notFound("start");
      const { startsAt, venue, zone } = start.get();
      const listedAt = (start.get("listedAt") ?? startsAt).toISOString();
      const list = simulatedList(request.query.seed, { listedAt, venue, zone });
      const mayStill = async () => {
        const role = (await findSession(context, request, clubId))?.role;
        return role ? may(role, "run") : false;
      };
      return streamEvents(request, reply, context.changes, {
        clubId,
        mayStill,
        begin: (send) => {
          let last = "";
          const look = () => {
            const news = simulatedOrder(list, Date.parse(listedAt), Date.now());
            // The time to be expected counts up second by second while somebody is slow; that is told every half minute.
            const known = `${news.before} ${Math.floor(news.lateSeconds / 30)}`;
            if (known === last) return;
            last = known;
            send(news);
          };
          look();
          const timer = setInterval(look, LOOK);
          return () => clearInterval(timer);
        },
      });
    },
  );
  done();
};
