import { randomUUID } from "node:crypto";
import { isDeepStrictEqual } from "node:util";
import { emptyPlan } from "@tonodrome/core";
import {
  clubParamsSchema,
  doneSchema,
  idParamsSchema,
  type Start,
  type StartInput,
  startInputSchema,
  startListQuerySchema,
  startListSchema,
  startSchema,
  startWriteSchema,
} from "@tonodrome/core/api";
import { Op, type Transaction } from "sequelize";
import { type Place, placeOf } from "../access/access";
import { audit } from "../access/audit";
import type { AthleteRow, EventTypeRow, PlanRow, StartRow } from "../db/models/rows";
import { notFound, versionConflict } from "../errors";
import { checkAthlete } from "./athletes";
import type { Resource } from "./context";
import { checkEvents } from "./events";
import { toPlan } from "./plans";

/** Most starts one answer holds; Today never needs more. */
const MOST = 100;

/** Most starts that have been, newest first. */
const MOST_BEFORE = 20;

/** Starts with their plans. */
export const starts: Resource = (context) => (app, _options, done) => {
  const { sequelize, models, changes } = context;
  const params = idParamsSchema;
  const publish = (clubId: string, id: string) => changes.publish({ clubId, topic: "starts", id });

  async function read(id: string, place: Place, transaction?: Transaction): Promise<Start> {
    const row = await models.Start.findOne({
      where: { id, ...ownOf(place) },
      include: joined(place),
      transaction,
    });
    if (!row) throw notFound("start");
    return toStart(row as unknown as Joined);
  }

  app.get(
    "/clubs/:clubId/starts",
    {
      config: { access: "see" },
      schema: {
        params: clubParamsSchema,
        querystring: startListQuerySchema,
        response: { 200: startListSchema },
      },
    },
    async (request) => {
      const place = placeOf(request);
      const { from, before, athleteId } = request.query;
      const startsAt = {
        ...(from ? { [Op.gte]: new Date(from) } : {}),
        ...(before ? { [Op.lt]: new Date(before) } : {}),
      };
      const rows = await models.Start.findAll({
        where: {
          // An athlete who asks for another's starts still gets none but their own.
          [Op.and]: [ownOf(place), athleteId ? { athleteId } : {}, from || before ? { startsAt } : {}],
        },
        include: joined(place),
        order: before ? [["startsAt", "DESC"], "id"] : ["startsAt", "id"],
        limit: before ? MOST_BEFORE : MOST,
      });
      return { starts: rows.map((row) => toStart(row as unknown as Joined)) };
    },
  );

  app.get(
    "/clubs/:clubId/starts/:id",
    { config: { access: "see" }, schema: { params, response: { 200: startSchema } } },
    (request) => read(request.params.id, placeOf(request)),
  );

  app.post(
    "/clubs/:clubId/starts",
    {
      config: { access: "build" },
      schema: { params: clubParamsSchema, body: startInputSchema, response: { 201: startSchema } },
    },
    async (request, reply) => {
      const place = placeOf(request);
      const { clubId } = place;
      const start = await sequelize.transaction(async (transaction) => {
        await checkAthlete(context, request.body.athleteId, clubId, transaction);
        await checkEvents(context, eventsOf(request.body), clubId, "eventId", transaction);
        const id = randomUUID();
        await models.Start.create({ id, clubId, version: 1, ...columns(request.body) }, { transaction });
        await models.Plan.create(
          { id: randomUUID(), clubId, startId: id, version: 1, body: emptyPlan() },
          { transaction },
        );
        await audit(context, transaction, request, "start.make", { clubId, id });
        return read(id, place, transaction);
      });
      publish(clubId, start.id);
      return reply.code(201).send(start);
    },
  );

  app.put(
    "/clubs/:clubId/starts/:id",
    {
      config: { access: "build" },
      schema: { params, body: startWriteSchema, response: { 200: startSchema } },
    },
    async (request) => {
      const place = placeOf(request);
      const { clubId } = place;
      const { version, ...input } = request.body;
      const { id } = request.params;
      const { current, isStale } = await sequelize.transaction(async (transaction) => {
        await checkAthlete(context, input.athleteId, clubId, transaction);
        await checkEvents(context, eventsOf(input), clubId, "eventId", transaction);
        const before = await read(id, place, transaction);
        const [count] = await models.Start.update(
          { ...columns({ listedAt: before.listedAt, ...input }), version: version + 1 },
          { where: { id, clubId, version }, transaction },
        );
        const after = await read(id, place, transaction);
        if (count > 0) {
          const detail = { version: after.version, changed: changedFields(before, after) };
          await audit(context, transaction, request, "start.change", { clubId, id, detail });
        }
        // Nothing changed, and yet it reads as asked: this edit came through before, and its answer was lost.
        const isRepeated = after.version === version + 1 && saysTheSame(after, input);
        return { current: after, isStale: count === 0 && !isRepeated };
      });
      if (isStale) throw versionConflict("start", current);
      publish(clubId, id);
      return current;
    },
  );

  app.delete(
    "/clubs/:clubId/starts/:id",
    { config: { access: "build" }, schema: { params, response: { 200: doneSchema } } },
    async (request) => {
      const { clubId } = placeOf(request);
      const { id } = request.params;
      await sequelize.transaction(async (transaction) => {
        const count = await models.Start.destroy({ where: { id, clubId }, transaction });
        if (count === 0) throw notFound("start");
        await audit(context, transaction, request, "start.delete", { clubId, id });
      });
      publish(clubId, id);
      return { done: true as const };
    },
  );
  done();
};

/** Starts that somebody in this place may know of. */
function ownOf({ clubId, onlyAthlete }: Place) {
  return { clubId, ...(onlyAthlete ? { athleteId: onlyAthlete } : {}) };
}

/** Ids are unique within a club only, so what is joined is scoped to it too. */
function joined({ clubId }: Place) {
  const ofClub = { where: { clubId } };
  return [
    { association: "athlete", ...ofClub },
    { association: "plan", ...ofClub },
    { association: "event", required: false, ...ofClub },
  ];
}

type Joined = StartRow & { athlete: AthleteRow; plan: PlanRow; event: EventTypeRow | null };

function toStart(row: Joined): Start {
  const { id, version, athlete, title, venue, zone, startsAt, readyAt, eventId, setting, plan, event } = row;
  const listedAt = row.listedAt ?? startsAt;
  return {
    id,
    version,
    athlete: { id: athlete.id, name: athlete.name },
    title,
    venue,
    zone,
    startsAt: startsAt.toISOString(),
    readyAt: readyAt.toISOString(),
    listedAt: listedAt.toISOString(),
    eventId,
    setting,
    facts: factsOf(event, athlete.profile),
    plan: toPlan(plan),
  };
}

/** What the fit has to know of an event and an athlete, and nothing more. */
export function factsOf(
  event: Pick<EventTypeRow, "body"> | null,
  { usualReps }: Pick<AthleteRow["profile"], "usualReps">,
): Start["facts"] {
  return { points: event?.body.fixedPoints ?? [], places: event?.body.places ?? [], usualReps };
}

function columns(input: StartInput) {
  const { startsAt, readyAt, listedAt } = input;
  return {
    ...input,
    startsAt: new Date(startsAt),
    readyAt: new Date(readyAt),
    listedAt: listedAt && Date.parse(listedAt) !== Date.parse(startsAt) ? new Date(listedAt) : null,
  };
}

const eventsOf = ({ eventId }: Pick<StartInput, "eventId">) => (eventId ? [eventId] : []);

/** Names of the fields that read differently. */
function changedFields(before: Start, after: Start): string[] {
  const fields = ["title", "venue", "zone", "startsAt", "readyAt", "listedAt", "eventId"] as const;
  const changed: string[] = fields.filter((name) => before[name] !== after[name]);
  if (!isDeepStrictEqual(before.setting, after.setting)) changed.push("setting");
  return before.athlete.id === after.athlete.id ? changed : ["athlete", ...changed];
}

function saysTheSame(start: Start, input: StartInput): boolean {
  const sameTime = (a: string, b: string) => Date.parse(a) === Date.parse(b);
  return (
    start.athlete.id === input.athleteId &&
    start.title === input.title &&
    start.venue === input.venue &&
    start.zone === input.zone &&
    sameTime(start.startsAt, input.startsAt) &&
    sameTime(start.readyAt, input.readyAt) &&
    (input.listedAt === undefined || sameTime(start.listedAt, input.listedAt)) &&
    start.eventId === input.eventId &&
    isDeepStrictEqual(start.setting, input.setting)
  );
}
