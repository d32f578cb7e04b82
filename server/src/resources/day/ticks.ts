import { idParamsSchema, ticksInputSchema, ticksSchema } from "@tonodrome/core/api";
import { Op, type Transaction } from "sequelize";
import { type Asker, askerOf } from "../../access/access";
import { notFound } from "../../errors/refusal";
import { checkTickTimes, takeTicks, ticksOf } from "../../write/takeTicks";
import { write } from "../../write/write";
import type { Resource } from "../context";

/** What was ticked off in the lists of starts. Whoever sees a start may tick: an athlete packs their own bag. */
export const ticks: Resource = (context) => (app, _options, done) => {
  const { models, changes } = context;
  const params = idParamsSchema;
  const url = "/clubs/:clubId/starts/:id/ticks";

  /** @throws Refusal `not_found` where there is no such start, or whoever asks may not know of it */
  async function checkStart({ clubId, onlyAthlete }: Asker, id: string, transaction?: Transaction) {
    const own = onlyAthlete ? { athleteId: onlyAthlete } : {};
    const where = { [Op.and]: [own, { clubId, id }] };
    if ((await models.Start.count({ where, transaction })) === 0) throw notFound("start");
  }

  app.get(
    url,
    { config: { access: "see" }, schema: { params, response: { 200: ticksSchema } } },
    async (request) => {
      const asker = askerOf(request);
      await checkStart(asker, request.params.id);
      return ticksOf(context, asker.clubId, request.params.id);
    },
  );

  app.post(
    url,
    { config: { access: "see" }, schema: { params, body: ticksInputSchema, response: { 200: ticksSchema } } },
    async (request, reply) => {
      const asker = askerOf(request);
      const { clubId } = asker;
      const { id } = request.params;
      const { ticks: sent } = request.body;
      checkTickTimes(sent, context);
      const take = async (transaction: Transaction) => {
        await checkStart(asker, id, transaction);
        return takeTicks(context, clubId, id, sent, transaction);
      };
      return write(context, reply, take, { after: () => changes.publish({ clubId, topic: "starts", id }) });
    },
  );
  done();
};
