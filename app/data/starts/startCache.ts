import type { QueryClient } from "@tanstack/query-core";
import { MOST, type Plan, type Start, type StartRow } from "@tonodrome/core/api";
import type { AnswerName, AnswerOf } from "~/data/client/answers";
import { earlyBody } from "~/data/client/early";
import type { ClubAsk } from "~/data/queries/clubAsk";
import { putGlance } from "~/data/queries/glances";
import { LOOK_BACK_MS, startsPath, wholePath } from "~/early/asks";

/** Today opens with these answers. */
const AT_SIGHT = { atSight: true };

/** How often starts are read again, milliseconds. Changes are told at once; this is for those that were missed. */
const EVERY = 15_000;

/** Puts a start as it was read last wherever it is shown. */
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

/** Puts a saved warm-up wherever its start is shown. */
export function putPlan(client: QueryClient, startId: string, plan: Plan): void {
  const start = client.getQueryData<Start>(["start", startId]);
  if (start && start.plan.version <= plan.version) putStart(client, { ...start, plan });
}

/**
 * Returns the starts of a list with all that it takes to fit them. The list itself is light. A start is read again only where its
 * stamp says that it changed.
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

/** Returns the starts that were asked for before the application was loaded; undefined where not all of them were. */
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

/** How starts from three hours ago on are read, soonest first. */
export const startsQuery = (client: QueryClient, ask: ClubAsk) => ({
  queryKey: ["starts"],
  queryFn: async () => {
    const { starts } = await ask("startList", "GET", startsPath(Date.now()), undefined, AT_SIGHT);
    return wholeStarts(client, ask, starts);
  },
  refetchInterval: EVERY,
});

/** How one start is read. */
export const startQuery = (client: QueryClient, ask: ClubAsk, id: string, every = EVERY) => ({
  queryKey: ["start", id],
  queryFn: () => ask("start", "GET", `/starts/${id}`, undefined, AT_SIGHT),
  enabled: id !== "",
  initialData: () => client.getQueryData<Start[]>(["starts"])?.find((s) => s.id === id),
  initialDataUpdatedAt: () => client.getQueryState(["starts"])?.dataUpdatedAt,
  refetchInterval: every,
});
