import type { QueryClient } from "@tanstack/query-core";
import { MOST, type Plan, type Start, type StartRow } from "@tonodrome/core/api";
import type { AnswerName, AnswerOf } from "~/data/client/answers";
import { earlyBody } from "~/data/client/early";
import type { ClubAsk } from "~/data/queries/clubAsk";
import { putGlance } from "~/data/queries/glances";
import { LOOK_BACK_MS, startsPath, wholePath } from "~/early/asks";

/** Today opens with them. */
const AT_SIGHT = { atSight: true };

/** How often starts are asked for again, milliseconds: a change is told at once, unless that was missed. */
const EVERY = 15_000;

/** Puts a start's newest reading wherever it is shown. */
export function putStart(client: QueryClient, start: Start): void {
  client.setQueryData(["start", start.id], start);
  client.setQueryData<Start[]>(["starts"], (starts) => {
    if (!starts) return undefined;
    const others = starts.filter((s) => s.id !== start.id);
    const isListed = Date.parse(start.startsAt) >= Date.now() - LOOK_BACK_MS;
    return [...others, ...(isListed ? [start] : [])].sort(
      (a, b) => Date.parse(a.startsAt) - Date.parse(b.startsAt),
    );
  });
}

/** Puts a start's warm-up as it was saved wherever the start is shown. */
export function putPlan(client: QueryClient, startId: string, plan: Plan): void {
  const start = client.getQueryData<Start>(["start", startId]);
  if (start && start.plan.version <= plan.version) putStart(client, { ...start, plan });
}

/**
 * The starts of a list, whole. The list itself is light: of what it takes to fit a start only what changed since it was
 * last read, as its stamp tells, is read again.
 */
export async function wholeStarts(
  client: QueryClient,
  ask: ClubAsk,
  rows: readonly StartRow[],
): Promise<Start[]> {
  const known = (id: string) => client.getQueryData<Start>(["start", id]);
  const stale = rows.filter((row) => known(row.id)?.stamp !== row.stamp).map((row) => row.id);
  for (let i = 0; i < stale.length; i += MOST.startsTogether) {
    const path = wholePath(stale.slice(i, i + MOST.startsTogether));
    const { starts, glances } = await ask("wholeStarts", "GET", path, undefined, AT_SIGHT);
    for (const { id, ...found } of glances) putGlance(client, id, found);
    for (const start of starts) client.setQueryData(["start", start.id], start);
  }
  return rows.flatMap((row) => known(row.id) ?? []);
}

/** The starts as they were asked for before the application was there; undefined where they were not, or not all of them. */
export function earlyStarts(client: QueryClient, clubId: string): Start[] | undefined {
  const bodyAt = <Name extends AnswerName>(path: string) =>
    earlyBody(`/clubs/${clubId}${path}`) as AnswerOf<Name> | undefined;
  const rows = bodyAt<"startList">(startsPath(Date.now()))?.starts ?? [];
  const whole = bodyAt<"wholeStarts">(wholePath(rows.map((row) => row.id)));
  if (!whole || whole.starts.length < rows.length) return undefined;
  for (const { id, ...found } of whole.glances) putGlance(client, id, found);
  for (const start of whole.starts) client.setQueryData(["start", start.id], start);
  return whole.starts;
}

/** Starts from three hours ago on, soonest first: how they are read. */
export const startsQuery = (client: QueryClient, ask: ClubAsk) => ({
  queryKey: ["starts"],
  queryFn: async () => {
    const { starts } = await ask("startList", "GET", startsPath(Date.now()), undefined, AT_SIGHT);
    return wholeStarts(client, ask, starts);
  },
  refetchInterval: EVERY,
});

/** One start: how it is read. */
export const startQuery = (client: QueryClient, ask: ClubAsk, id: string, every = EVERY) => ({
  queryKey: ["start", id],
  queryFn: () => ask("start", "GET", `/starts/${id}`, undefined, AT_SIGHT),
  enabled: id !== "",
  initialData: () => client.getQueryData<Start[]>(["starts"])?.find((s) => s.id === id),
  initialDataUpdatedAt: () => client.getQueryState(["starts"])?.dataUpdatedAt,
  refetchInterval: every,
});
