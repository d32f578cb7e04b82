import { clubParamsSchema, MOST, type OpenList, openListsSchema } from "@tonodrome/core/api";
import { type DayStep, USUAL_TRAVEL, usualDay } from "@tonodrome/core/day";
import { listStands } from "@tonodrome/core/lists";
import { Op } from "sequelize";
import { placeOf } from "../access/access";
import { toEvent } from "../answers/event";
import { toTick } from "../answers/tick";
import type { AthleteRow, EventTypeRow, StartRow, TickRow } from "../db/models/rows";
import type { Context, Resource } from "./context";

/** Lists are told of so long before their start, and after it no more, milliseconds. Custom. */
const AHEAD = 36 * 3_600_000;

/** Lists with lines open: of starts that are next, where somebody began to tick or made the day their own. */
export const openLists: Resource = (context) => (app, _options, done) => {
  app.get(
    "/clubs/:clubId/open-lists",
    { config: { access: "see" }, schema: { params: clubParamsSchema, response: { 200: openListsSchema } } },
    async (request) => {
      const { clubId, onlyAthlete } = placeOf(request);
      const now = Date.now();
      const starts = await context.models.Start.findAll({
        where: {
          clubId,
          ...(onlyAthlete ? { athleteId: onlyAthlete } : {}),
          startsAt: { [Op.gte]: new Date(now), [Op.lt]: new Date(now + AHEAD) },
        },
        order: ["startsAt", "id"],
        limit: MOST.listedStarts,
      });
      const lists = await listsOf(context, clubId, starts);
      return { lists: lists.filter((l) => l.open.length > 0).slice(0, MOST.openLists) };
    },
  );
  done();
};

async function listsOf(
  { models }: Context,
  clubId: string,
  starts: readonly StartRow[],
): Promise<OpenList[]> {
  const startId = starts.map((s) => s.id);
  const [days, ticks] = await Promise.all([
    models.Day.findAll({ where: { clubId, startId } }),
    models.Tick.findAll({ where: { clubId, startId } }),
  ]);
  const ticksOf = new Map<string, TickRow[]>();
  for (const tick of ticks) ticksOf.set(tick.startId, [...(ticksOf.get(tick.startId) ?? []), tick]);
  const own = new Map(days.flatMap((d) => (d.startId && d.steps ? [[d.startId, d.steps] as const] : [])));
  const begun = starts.filter((s) => own.has(s.id) || ticksOf.has(s.id));
  const usual = await usualSteps(
    { models },
    clubId,
    begun.filter((s) => !own.has(s.id)),
  );
  return begun.flatMap((start) => {
    const steps = own.get(start.id) ?? usual.get(start.id) ?? [];
    const ticked = ticksOf.get(start.id) ?? [];
    return listStands(steps, ticked.map(toTick)).flatMap(({ step: id, name, lines }) => {
      const isBegun = own.has(start.id) || ticked.some((t) => t.step === id);
      const kind = steps.find((s) => s.id === id)?.kind ?? "other";
      const open = lines.flatMap(({ line, isOn }) => (isOn ? [] : [line]));
      return isBegun ? [{ startId: start.id, name, kind, open, lines: lines.length }] : [];
    });
  });
}

/** The days of starts that have none of their own: what the athlete's, or the event's, begin with, or else the usual one. */
async function usualSteps({ models }: Pick<Context, "models">, clubId: string, starts: readonly StartRow[]) {
  const found = new Map<string, readonly DayStep[]>();
  if (starts.length === 0) return found;
  const athleteId = [...new Set(starts.map((s) => s.athleteId))];
  const eventId = [...new Set(starts.flatMap((s) => s.eventId ?? []))];
  const [days, athletes, events] = await Promise.all([
    models.Day.findAll({ where: { clubId, [Op.or]: [{ athleteId }, { eventId }] } }),
    models.Athlete.findAll({ where: { clubId, id: athleteId } }),
    models.EventType.findAll({ where: { clubId, id: eventId } }),
  ]);
  const athleteOf = new Map<string, AthleteRow>(athletes.map((a) => [a.id, a]));
  const eventOf = new Map<string, EventTypeRow>(events.map((e) => [e.id, e]));
  for (const start of starts) {
    const kept =
      days.find((d) => d.athleteId === start.athleteId)?.steps ??
      days.find((d) => d.eventId !== null && d.eventId === start.eventId)?.steps;
    const event = start.eventId ? eventOf.get(start.eventId) : undefined;
    found.set(
      start.id,
      kept ??
        usualDay({
          startsAt: start.startsAt.toISOString(),
          zone: start.zone,
          warmUpSeconds: Math.floor((start.startsAt.getTime() - start.readyAt.getTime()) / 1000),
          event: event ? toEvent(event) : null,
          travel: USUAL_TRAVEL,
          equipment: athleteOf.get(start.athleteId)?.profile.equipment ?? [],
        }),
    );
  }
  return found;
}
