import { clubParamsSchema, MOST, type OpenList, openListsSchema } from "@tonodrome/core/api";
import { KIT_STEP, kitThere, listStands, type Tick } from "@tonodrome/core/lists";
import { Op } from "sequelize";
import { askerOf } from "../../access/access";
import { ownSteps, usualSteps } from "../../answers/daySteps";
import { toTick } from "../../answers/tick";
import type { StartRow, TickRow } from "../../db/models/rows";
import type { Context, Resource } from "../context";

/** Lists are told of so long before their start, and after it no more, milliseconds. Custom. */
const AHEAD = 36 * 3_600_000;

/** Lists with lines open: of starts that are next, where somebody began to tick or made the day their own; the kit on arrival always. */
export const openLists: Resource = (context) => (app, _options, done) => {
  app.get(
    "/clubs/:clubId/open-lists",
    { config: { access: "see" }, schema: { params: clubParamsSchema, response: { 200: openListsSchema } } },
    async (request) => {
      const { clubId, onlyAthlete } = askerOf(request);
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
  const eventId = starts.flatMap((s) => s.eventId ?? []);
  const [own, ticks, events] = await Promise.all([
    ownSteps({ models }, clubId, startId),
    models.Tick.findAll({ where: { clubId, startId } }),
    models.EventType.findAll({ where: { clubId, id: eventId } }),
  ]);
  const kitOf = new Map(events.map((e) => [e.id, e.body.kit]));
  const ticksOf = new Map<string, TickRow[]>();
  for (const tick of ticks) ticksOf.set(tick.startId, [...(ticksOf.get(tick.startId) ?? []), tick]);
  const begun = starts.filter((s) => own.has(s.id) || ticksOf.has(s.id));
  const usual = await usualSteps(
    { models },
    clubId,
    begun.filter((s) => !own.has(s.id)),
  );
  return starts.flatMap((start) => {
    const steps = own.get(start.id) ?? usual.get(start.id) ?? [];
    const ticked = ticksOf.get(start.id) ?? [];
    const kit = steps.find((s) => s.id === KIT_STEP)?.list ?? kitOf.get(start.eventId ?? "") ?? [];
    const packed = listStands(
      steps.filter((s) => s.id !== KIT_STEP),
      ticked.map(toTick),
    );
    const lists = packed.flatMap(({ step: id, name, lines }): OpenList[] => {
      const isBegun = own.has(start.id) || ticked.some((t) => t.step === id);
      const kind = steps.find((s) => s.id === id)?.kind ?? "other";
      const open = lines.flatMap(({ line, isOn }) => (isOn ? [] : [line]));
      return isBegun ? [{ startId: start.id, name, kind, open, lines: lines.length }] : [];
    });
    return [...lists, ...arrivalOf(start, kit, ticked.map(toTick))];
  });
}

/** The kit on arrival; nothing where the event has none. */
function arrivalOf(start: StartRow, kit: readonly string[], ticks: readonly Tick[]): OpenList[] {
  const there = kitThere(kit, start.setting.kitReady, ticks);
  const open = kit.filter((piece) => !there.includes(piece));
  const [name, kind] = ["Kit on arrival", "settle" as const];
  return kit.length > 0 ? [{ startId: start.id, name, kind, open, lines: kit.length }] : [];
}
