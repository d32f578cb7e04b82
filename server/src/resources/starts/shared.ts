import { conditionsOf, contextOf, groupSize, isRunOver, wordKey } from "@tonodrome/core";
import {
  type Shared,
  sharedSchema,
  ticksInputSchema,
  ticksSchema,
  tokenParamsSchema,
} from "@tonodrome/core/api";
import { KIT_STEP, lineKey, type Tick } from "@tonodrome/core/lists";
import { findLink, type SharedLink } from "../../access/sharedLink";
import { calendarIdOf } from "../../answers/calendarId";
import { usualSteps } from "../../answers/daySteps";
import { sharedPlanOf, sharedRunOf } from "../../answers/shared";
import { factsOf } from "../../answers/start";
import type { RunEventRow } from "../../db/models/rows";
import { Refusal } from "../../errors/refusal";
import { streamEvents } from "../../live/eventStream";
import { checkTickTimes, takeTicks, ticksOf } from "../../write/takeTicks";
import { write } from "../../write/write";
import type { Resource } from "../context";

/**
 * Whoever holds a link ticks off the lines of that day, and adds none: what they make up would fill the lists for everybody.
 * @param kit the event's pieces, which are ticked off on arrival
 * @throws Refusal `invalid_input` at the first that is not in a list of the day
 */
function checkLines(ticks: readonly Tick[], steps: Shared["day"]["steps"], kit: readonly string[]): void {
  const lines = new Set(steps.flatMap(({ id, list }) => list.map((line) => lineKey({ step: id, line }))));
  const pieces = new Set(kit.map(wordKey));
  const isOfDay = (tick: Tick) =>
    lines.has(lineKey(tick)) || (tick.step === KIT_STEP && pieces.has(wordKey(tick.line)));
  const index = ticks.findIndex((tick) => !isOfDay(tick));
  if (index < 0) return;
  throw new Refusal("invalid_input", "This line is not in a list of this day any more.", {
    path: `ticks.${index}.line`,
  });
}

const ANYBODY = { access: "anybody" } as const;

/** What a link shows to whoever holds it, and the ticks that come back from there. */
export const shared: Resource = (context) => (app, _options, done) => {
  const { models, changes } = context;
  const params = tokenParamsSchema;

  /** The day of a start, as whoever begins it finds it. */
  async function dayShown(found: SharedLink): Promise<Shared["day"]> {
    const { clubId, startId: id, dayVersion: version } = found;
    const steps = found.steps ?? (await usualSteps(context, clubId, [{ ...found, id }])).get(id) ?? [];
    return { id: calendarIdOf(id), version, steps: [...steps] };
  }

  /** The run under way for a start, without what is the coach's own: answers, heart rates, what it was fitted from. */
  async function runUnderWay({
    clubId,
    startId,
    athleteId,
    startsAt,
    now,
  }: SharedLink): Promise<Shared["run"]> {
    const run = await models.Run.findOne({
      // A start may have been given to another athlete since: whose run it is, is who is shown.
      where: { clubId, startId, athleteId },
      include: [{ association: "events", separate: true, where: { clubId } }],
      order: [["createdAt", "DESC"]],
    });
    if (!run) return null;
    const all = (run as unknown as { events: RunEventRow[] }).events.map((e) => e.event);
    if (isRunOver(startsAt.toISOString(), all, now.getTime())) return null;
    return sharedRunOf(run, all);
  }

  app.get(
    "/shared/:token",
    { config: ANYBODY, schema: { params: tokenParamsSchema, response: { 200: sharedSchema } } },
    async (request) => {
      const found = await findLink(context, request.params.token);
      const { clubName, athleteName, title, venue, zone, startsAt, readyAt, setting, body, until } = found;
      const facts = factsOf(found.event && { body: found.event }, found.profile);
      return {
        clubName,
        athleteName,
        title,
        venue,
        zone,
        startsAt: startsAt.toISOString(),
        readyAt: readyAt.toISOString(),
        plan: sharedPlanOf(body),
        conditions: conditionsOf(setting),
        context: contextOf({ startsAt: startsAt.toISOString(), setting, facts }),
        day: await dayShown(found),
        group: groupSize(setting),
        run: await runUnderWay(found),
        expiresAt: until.toISOString(),
      };
    },
  );

  app.get(
    "/shared/:token/changes",
    { config: ANYBODY, compress: false, schema: { params: tokenParamsSchema } },
    async (request, reply) => {
      const { token } = request.params;
      const { clubId, startId } = await findLink(context, token);
      return streamEvents(request, reply, changes, {
        clubId,
        // A hint to read again, and no ids: who holds a link knows of its one start only.
        tell: ({ topic, id }) =>
          topic === "events" ||
          topic === "athletes" ||
          topic === "runs" ||
          (topic === "starts" && (id === startId || id === undefined))
            ? { topic }
            : null,
        mayStill: () =>
          findLink(context, token).then(
            () => true,
            (error) => !(error instanceof Refusal),
          ),
      });
    },
  );

  app.get(
    "/shared/:token/ticks",
    { config: ANYBODY, schema: { params, response: { 200: ticksSchema } } },
    async (request) => {
      const { clubId, startId } = await findLink(context, request.params.token);
      return ticksOf(context, clubId, startId);
    },
  );

  app.post(
    "/shared/:token/ticks",
    { config: ANYBODY, schema: { params, body: ticksInputSchema, response: { 200: ticksSchema } } },
    async (request, reply) => {
      const { ticks } = request.body;
      const found = await findLink(context, request.params.token);
      const { clubId, startId } = found;
      checkTickTimes(ticks, context);
      const { steps } = await dayShown(found);
      checkLines(ticks, steps, found.event?.kit ?? []);
      return write(context, reply, (transaction) => takeTicks(context, clubId, startId, ticks, transaction), {
        after: () => changes.publish({ clubId, topic: "starts", id: startId }),
      });
    },
  );
  done();
};
