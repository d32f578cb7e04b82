import { DAY_MS } from "@tonodrome/core";
import { MOST } from "@tonodrome/core/api";
import { type DayStep, previousStart, USUAL_TRAVEL, usualDay } from "@tonodrome/core/day";
import { Op } from "sequelize";
import type { Database } from "../db/connect";
import type { StartRow } from "../db/models/rows";
import { toEvent } from "./event";

/** A second start of a day is looked for so far back, milliseconds. */

type Steps = readonly DayStep[];
type StartOfDay = Pick<StartRow, "id" | "athleteId" | "eventId" | "startsAt" | "readyAt" | "zone">;
type Tables = Pick<Database, "models">;

/** The days of starts as far as anybody wrote them, by the start's id: one that was put back has no steps of its own. */
export async function writtenDays(
  { models }: Tables,
  clubId: string,
  startId: string[],
): Promise<Map<string, { version: number; steps: Steps | null }>> {
  const days = await models.Day.findAll({ where: { clubId, startId } });
  return new Map(
    days.flatMap((d) => (d.startId ? [[d.startId, { version: d.version, steps: d.steps }]] : [])),
  );
}

/** The days of starts that have one of their own, by the start's id. */
export async function ownSteps(
  tables: Tables,
  clubId: string,
  startId: string[],
): Promise<Map<string, Steps>> {
  const days = await writtenDays(tables, clubId, startId);
  return new Map([...days].flatMap(([id, { steps }]) => (steps ? [[id, steps] as const] : [])));
}

/** The days of starts that have none of their own: what the athlete's, or the event's, begin with, or else the usual one. */
export async function usualSteps(
  { models }: Tables,
  clubId: string,
  starts: readonly StartOfDay[],
): Promise<Map<string, Steps>> {
  const found = new Map<string, Steps>();
  if (starts.length === 0) return found;
  const athleteId = [...new Set(starts.map((s) => s.athleteId))];
  const eventId = [...new Set(starts.flatMap((s) => s.eventId ?? []))];
  const earliest = Math.min(...starts.map((s) => s.startsAt.getTime())) - DAY_MS;
  const latest = Math.max(...starts.map((s) => s.startsAt.getTime()));
  const [days, athletes, others] = await Promise.all([
    models.Day.findAll({ where: { clubId, [Op.or]: [{ athleteId }, { eventId }] } }),
    models.Athlete.findAll({ where: { clubId, id: athleteId } }),
    models.Start.findAll({
      where: { clubId, athleteId, startsAt: { [Op.gte]: new Date(earliest), [Op.lt]: new Date(latest) } },
      attributes: ["athleteId", "eventId", "startsAt"],
      order: ["startsAt", "id"],
      limit: MOST.listedStarts,
    }),
  ]);
  const eventIds = [...new Set([...eventId, ...others.flatMap((o) => o.eventId ?? [])])];
  const events = await models.EventType.findAll({ where: { clubId, id: eventIds } });
  const eventOf = (id: string | null) => {
    const event = events.find((e) => e.id === id);
    return event ? toEvent(event) : null;
  };
  for (const start of starts) {
    const kept =
      days.find((d) => d.athleteId === start.athleteId)?.steps ??
      days.find((d) => d.eventId !== null && d.eventId === start.eventId)?.steps;
    const before = others
      .filter((o) => o.athleteId === start.athleteId)
      .map((o) => ({ startsAt: o.startsAt.toISOString(), event: eventOf(o.eventId) }));
    const startsAt = start.startsAt.toISOString();
    const equipment = athletes.find((a) => a.id === start.athleteId)?.profile.equipment ?? [];
    const steps =
      kept ??
      usualDay({
        startsAt,
        previous: previousStart({ startsAt, zone: start.zone }, before),
        zone: start.zone,
        warmUpSeconds: Math.floor((start.startsAt.getTime() - start.readyAt.getTime()) / 1000),
        event: eventOf(start.eventId),
        travel: USUAL_TRAVEL,
        equipment,
      });
    found.set(start.id, steps);
  }
  return found;
}
