import { CLUB_FILE_VERSION, type ClubFile } from "@tonodrome/core/api";
import { Transaction } from "sequelize";
import type { Database } from "../db/connect";
import { toAthlete } from "../resources/athletes";
import { toDrill } from "../resources/drills";
import { toEvent } from "../resources/events";
import { toTemplate } from "../resources/templates";

type StartInFile = ClubFile["starts"][number];
type RunInFile = ClubFile["runs"][number];

/**
 * The whole club as it is at one moment. What is in it is in the order of ids and the same club always gives the same
 * text, so that two exports can be compared byte for byte.
 */
export async function exportClub({ sequelize, models }: Database, clubId: string): Promise<string> {
  const isolationLevel = Transaction.ISOLATION_LEVELS.REPEATABLE_READ;
  return sequelize.transaction({ isolationLevel }, async (transaction) => {
    const all = { where: { clubId }, order: ["id"], transaction };
    const club = await models.Club.findByPk(clubId, { transaction });
    const athletes = await models.Athlete.findAll(all);
    const drills = await models.Drill.findAll(all);
    const events = await models.EventType.findAll(all);
    const templates = await models.Template.findAll(all);
    const starts = await models.Start.findAll(all);
    const plans = new Map((await models.Plan.findAll(all)).map((p) => [p.startId, p]));
    const edits = groupBy(await models.PlanEdit.findAll(all), (e) => e.planId);
    const runs = await models.Run.findAll(all);
    const presses = groupBy(await models.RunEvent.findAll(all), (e) => e.runId);
    const file: ClubFile = {
      format: "tonodrome-club",
      version: CLUB_FILE_VERSION,
      name: club?.name ?? "",
      athletes: athletes.map(toAthlete),
      drills: drills.map(toDrill),
      events: events.map(toEvent),
      templates: templates.map(toTemplate),
      starts: starts.flatMap((start): StartInFile[] => {
        const plan = plans.get(start.id);
        if (!plan) return [];
        const { id, version, athleteId, title, venue, zone, startsAt, readyAt, listedAt, eventId, setting } =
          start;
        return [
          {
            id,
            version,
            athleteId,
            title,
            venue,
            zone,
            startsAt: startsAt.toISOString(),
            readyAt: readyAt.toISOString(),
            ...(listedAt ? { listedAt: listedAt.toISOString() } : {}),
            eventId,
            setting,
            plan: {
              id: plan.id,
              version: plan.version,
              body: plan.body,
              edits: (edits.get(plan.id) ?? []).map((e) => ({
                version: e.version,
                outcome: e.outcome,
                at: e.at.toISOString(),
                body: e.body,
              })),
            },
          },
        ];
      }),
      runs: runs.map((run): RunInFile => {
        const { id, startId, athleteId, athleteName, title, venue, zone, plan } = run;
        return {
          id,
          startId,
          athleteId,
          athleteName,
          title,
          venue,
          zone,
          startsAt: run.startsAt.toISOString(),
          createdAt: run.createdAt.toISOString(),
          plan,
          events: (presses.get(id) ?? []).map((e) => e.event),
        };
      }),
    };
    return JSON.stringify(file);
  });
}

function groupBy<T>(rows: readonly T[], key: (row: T) => string): Map<string, T[]> {
  const groups = new Map<string, T[]>();
  for (const row of rows) {
    const group = groups.get(key(row));
    if (group) group.push(row);
    else groups.set(key(row), [row]);
  }
  return groups;
}
