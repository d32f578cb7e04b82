import { idParamsSchema, ticksInputSchema, ticksSchema } from "@tonodrome/core/api";
import { mergeTicks, type Tick } from "@tonodrome/core/lists";
import { Op, type Transaction } from "sequelize";
import { type Place, placeOf } from "../access/access";
import { checkRoom } from "../access/quota";
import { toTick } from "../answers/tick";

import { notFound, Refusal } from "../errors/refusal";
import { write } from "../write/write";
import type { Context, Resource } from "./context";

/** What was ticked off in the lists of starts. Whoever sees a start may tick: an athlete packs their own bag. */
export const ticks: Resource = (context) => (app, _options, done) => {
  const { sequelize, models, changes } = context;
  const params = idParamsSchema;
  const url = "/clubs/:clubId/starts/:id/ticks";

  async function ticksOf(
    place: Place,
    startId: string,
    transaction?: Transaction,
  ): Promise<{ ticks: Tick[] }> {
    const { clubId, onlyAthlete } = place;
    const own = onlyAthlete ? { athleteId: onlyAthlete } : {};
    const where = { [Op.and]: [own, { clubId, id: startId }] };
    if ((await models.Start.count({ where, transaction })) === 0) throw notFound("start");
    const rows = await models.Tick.findAll({ where: { clubId, startId }, transaction });
    return { ticks: mergeTicks(rows.map(toTick)) };
  }

  app.get(url, { config: { access: "see" }, schema: { params, response: { 200: ticksSchema } } }, (request) =>
    ticksOf(placeOf(request), request.params.id),
  );

  app.post(
    url,
    { config: { access: "see" }, schema: { params, body: ticksInputSchema, response: { 200: ticksSchema } } },
    async (request, reply) => {
      const place = placeOf(request);
      const { clubId } = place;
      const { id } = request.params;
      checkTimes(request.body.ticks, context);
      const take = async (transaction: Transaction) => {
        await ticksOf(place, id, transaction);
        // In turn, so that the count holds.
        await checkRoom(context, models.Tick, "ticksOfStart", id, { clubId, startId: id }, transaction, 0);
        await sequelize.query(
          `INSERT INTO ticks (club_id, start_id, step, line, is_on, at, by)
            SELECT $1, $2, t.step, t.line, t."isOn", t.at, t.by
            FROM jsonb_to_recordset($3::jsonb) AS t(step text, line text, "isOn" boolean, at timestamptz, by uuid)
            ON CONFLICT (club_id, start_id, step, line) DO UPDATE
            SET is_on = EXCLUDED.is_on, at = EXCLUDED.at, by = EXCLUDED.by
            WHERE (EXCLUDED.at, EXCLUDED.by, EXCLUDED.is_on) > (ticks.at, ticks.by, ticks.is_on)`,
          { bind: [clubId, id, JSON.stringify(mergeTicks(request.body.ticks))], transaction },
        );
        await checkRoom(context, models.Tick, "ticksOfStart", id, { clubId, startId: id }, transaction, 0);
        return ticksOf(place, id, transaction);
      };
      return write(context, reply, take, { after: () => changes.publish({ clubId, topic: "starts", id }) });
    },
  );
  done();
};

/** Nothing is ticked in the future. @throws Refusal `invalid_input` at the first that is */
function checkTimes(sent: readonly Tick[], { pressAhead }: Pick<Context, "pressAhead">): void {
  const index = sent.findIndex((t) => Date.parse(t.at) > Date.now() + pressAhead);
  if (index < 0) return;
  throw new Refusal("invalid_input", "This was ticked later than it is now: the device's clock is wrong.", {
    path: `ticks.${index}.at`,
  });
}
