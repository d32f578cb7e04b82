import { type DayStep, USUAL_TRAVEL, usualDay } from "@tonodrome/core/day";
import { Op } from "sequelize";
import type { Database } from "../db/connect";
import type { StartRow } from "../db/models/rows";
import { toEvent } from "./event";

type Steps = readonly DayStep[];
type StartOfDay = Pick<StartRow, "id" | "athleteId" | "eventId" | "startsAt" | "readyAt" | "zone">;
type Tables = Pick<Database, "models">;

/** The days of starts that have one of their own, by the start's id. */
export async function ownSteps(
  { models }: Tables,
  clubId: string,
  startId: string[],
): Promise<Map<string, Steps>> {
  const days = await models.Day.findAll({ where: { clubId, startId } });
  return new Map(days.flatMap((d) => (d.startId && d.steps ? [[d.startId, d.steps] as const] : [])));
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
  const [days, athletes, events] = await Promise.all([
    models.Day.findAll({ where: { clubId, [Op.or]: [{ athleteId }, { eventId }] } }),
    models.Athlete.findAll({ where: { clubId, id: athleteId } }),
    models.EventType.findAll({ where: { clubId, id: eventId } }),
  ]);
  for (const start of starts) {
    const kept =
      days.find((d) => d.athleteId === start.athleteId)?.steps ??
      days.find((d) => d.eventId !== null && d.eventId === start.eventId)?.steps;
    const event = events.find((e) => e.id === start.eventId);
    const equipment = athletes.find((a) => a.id === start.athleteId)?.profile.equipment ?? [];
    const steps =
      kept ??
      usualDay({
        startsAt: start.startsAt.toISOString(),
        zone: start.zone,
        warmUpSeconds: Math.floor((start.startsAt.getTime() - start.readyAt.getTime()) / 1000),
        event: event ? toEvent(event) : null,
        travel: USUAL_TRAVEL,
        equipment,
      });
    found.set(start.id, steps);
  }
  return found;
}
