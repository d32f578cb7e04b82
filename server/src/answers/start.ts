import { groupOf } from "@tonodrome/core";
import type { Start, StartRow as StartInList } from "@tonodrome/core/api";
import { Op, type Transaction, type WhereOptions } from "sequelize";
import type { Asker } from "../access/access";
import type { Database } from "../db/connect";
import type { AthleteRow, EventTypeRow, PlanRow, StartRow } from "../db/models/rows";
import { notFound } from "../errors/refusal";
import { listedTime } from "./listedTime";
import { toPlan } from "./plan";

/** Reads starts as somebody in a club may know them. */
export function startReader(models: Database["models"]) {
  return { findWhole, read };

  /** Starts with all that it takes to fit them, soonest first. */
  async function findWhole(asker: Asker, where: WhereOptions, transaction?: Transaction): Promise<Start[]> {
    const rows = await models.Start.findAll({
      where: { [Op.and]: [ownOf(asker), where] },
      include: joined(asker),
      order: ["startsAt", "id"],
      transaction,
    });
    return withGroups(
      asker,
      rows.map((row) => toStart(row as unknown as Joined)),
      transaction,
    );
  }

  /** Names who warms up with whom; not for athletes themselves: their start tells of nobody else. */
  async function withGroups(asker: Asker, found: Start[], transaction?: Transaction): Promise<Start[]> {
    const id = [...new Set(found.flatMap(({ setting }) => setting.group ?? []))];
    if (id.length === 0 || asker.onlyAthlete) return found;
    const { clubId } = asker;
    const athletes = await models.Athlete.findAll({
      where: { clubId, id },
      attributes: ["id", "name"],
      transaction,
    });
    return found.map((start) => ({ ...start, group: groupOf(start, athletes) }));
  }

  /** One start. @throws Refusal `not_found` */
  async function read(id: string, asker: Asker, transaction?: Transaction): Promise<Start> {
    const [start] = await findWhole(asker, { id }, transaction);
    if (!start) throw notFound("start");
    return start;
  }
}

/** An athlete's starts, or all of a club's, whole, from a moment on. */
export async function wholeStarts(
  { models }: Pick<Database, "models">,
  clubId: string,
  { athleteId, from, most }: { athleteId: string | null; from: Date; most: number },
): Promise<Start[]> {
  const rows = await models.Start.findAll({
    where: { clubId, startsAt: { [Op.gte]: from }, ...(athleteId ? { athleteId } : {}) },
    include: joined({ clubId }),
    order: ["startsAt", "id"],
    limit: most,
  });
  return rows.map((row) => toStart(row as unknown as Joined));
}

/** Starts that whoever asks may know of. */
export function ownOf({ clubId, onlyAthlete }: Asker) {
  return { clubId, ...(onlyAthlete ? { athleteId: onlyAthlete } : {}) };
}

/** Ids are unique within a club only, so what is joined is scoped to it too. A list has of each what tells its version. */
export function joined({ clubId }: Pick<Asker, "clubId">, listed = false) {
  const ofClub = (association: string, attributes: string[]) => ({
    association,
    where: { clubId },
    ...(listed ? { attributes } : {}),
  });
  return [
    ofClub("athlete", ["id", "name", "version"]),
    ofClub("plan", ["id", "version"]),
    { ...ofClub("event", ["id", "version"]), required: false },
  ];
}

export type Joined = StartRow & { athlete: AthleteRow; plan: PlanRow; event: EventTypeRow | null };

/** A start without what is large. */
export function toRow(row: Joined): StartInList {
  const { id, version, athlete, title, venue, zone, startsAt, readyAt, eventId, plan, event } = row;
  const { orderId, orderNumber } = row;
  return {
    id,
    version,
    stamp: [version, plan.version, athlete.version, event?.version ?? 0].join("."),
    athlete: { id: athlete.id, name: athlete.name },
    title,
    venue,
    zone,
    startsAt: startsAt.toISOString(),
    readyAt: readyAt.toISOString(),
    listedAt: listedTime(row),
    eventId,
    order: orderId && orderNumber ? { id: orderId, number: orderNumber } : null,
  };
}

function toStart(row: Joined): Start {
  const { athlete, setting, plan, event } = row;
  return { ...toRow(row), setting, facts: factsOf(event, athlete.profile), plan: toPlan(plan) };
}

/** What the fit has to know of an event and an athlete, and nothing more. */
export function factsOf(
  event: Pick<EventTypeRow, "body"> | null,
  { usualReps }: Pick<AthleteRow["profile"], "usualReps">,
): Start["facts"] {
  return { points: event?.body.fixedPoints ?? [], places: event?.body.places ?? [], usualReps };
}
