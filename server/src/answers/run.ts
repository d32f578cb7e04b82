import type { RunEvent } from "@tonodrome/core";
import type { Run } from "@tonodrome/core/api";
import type { Transaction, WhereOptions } from "sequelize";
import type { Asker } from "../access/access";
import type { Database } from "../db/connect";
import type { RunEventRow, RunRow } from "../db/models/rows";

/** Returns a run as somebody in a club may know it; null where there is none for them. */
export async function readRun(
  models: Database["models"],
  id: string,
  { clubId, onlyAthlete }: Asker,
  transaction?: Transaction,
): Promise<Run | null> {
  const row = await models.Run.findOne({
    where: { id, clubId, ...(onlyAthlete ? { athleteId: onlyAthlete } : {}) },
    include: [eventsIn(clubId)],
    transaction,
  });
  if (!row) return null;
  const run = toRun(row as unknown as Joined);
  return onlyAthlete ? withoutGroup(run) : run;
}

/** A run without the others of a group: an athlete's own tells of nobody else. */
function withoutGroup({ plan: { group: _, ...plan }, events, ...run }: Run): Run {
  return { ...run, plan, events: events.filter(isOfOneself) };
}

/** Whether a press tells of nobody else in a group. */
export const isOfOneself = ({ kind }: RunEvent) => kind !== "there" && kind !== "mark";

/** A run's events, of its own club: ids are unique within a club only. */
export function eventsIn(clubId: string, only: WhereOptions = {}) {
  return { association: "events", separate: true, where: { clubId, ...only } };
}

export type Joined = RunRow & { events: RunEventRow[] };

function toRun(row: Joined): Run {
  const { id, startId, athleteName, title, venue, zone, startsAt, plan, events } = row;
  return {
    id,
    startId,
    athleteName,
    title,
    venue,
    zone,
    startsAt: startsAt.toISOString(),
    plan,
    events: events
      .map(({ event }) => ({ event, at: Date.parse(event.at) }))
      .sort((a, b) => a.at - b.at)
      .map(({ event }) => event),
  };
}
