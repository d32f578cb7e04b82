import { type QueryClient, QueryObserver } from "@tanstack/query-core";
import { fitPlan, runPlanOf } from "@tonodrome/core";
import type { Start } from "@tonodrome/core/api";
import { currentAccount, signedInAs, signedOutHere, whenSessionEnds } from "~/data/account/account";
import { ask } from "~/data/client/api";
import { timeNow } from "~/data/client/clock";
import { tick, tickBox } from "~/data/day/ticks";
import { followClub } from "~/data/live/followClub";
import { everyOutbox } from "~/data/outbox/outbox";
import { everyFailure, sendEverything } from "~/data/outbox/unsent";
import { editedPlan, planDrafts } from "~/data/plan/planDraft";
import { clubAsk } from "~/data/queries/clubAsk";
import { makeQueryClient } from "~/data/queries/queryClient";
import { followStart, readRun } from "~/data/runs/follow";
import { isFollowed, isUnderWay } from "~/data/runs/keptRun";
import { moveRun } from "~/data/runs/moveRun";
import { createRun, type NewPress, pressRun, takeRun } from "~/data/runs/press";
import { forgetSentRuns, sendAll } from "~/data/runs/send";
import { stateOf } from "~/data/runs/stateOf";
import { everyRun, get } from "~/data/runs/store";
import { moveStart, moves, withMove } from "~/data/starts/moves";
import { putPlan, putStart, startQuery, startsQuery } from "~/data/starts/startCache";
import { editStart, startEdits, whenSaved } from "~/data/starts/startEdits";

/*
 * A device of the hall: the application's own data layer without its screens, with what a screen would press. The hall puts it
 * into a realm of its own.
 */

whenSessionEnds(forgetSentRuns);

/** What is open on the device while somebody is signed in to a club. */
interface Open {
  client: QueryClient;
  clubId: string;
  ends: (() => void)[];
}

let open: Open | null = null;

/** Opens the club of whoever is signed in, as Today does. */
function openClub(): void {
  close();
  const club = currentAccount().club;
  if (!club) return;
  const client = makeQueryClient();
  client.mount();
  const clubId = club.id;
  const askClub = clubAsk(clubId);
  const ends: (() => void)[] = [];
  const watch = (observer: QueryObserver<never> | QueryObserver) =>
    ends.push((observer as QueryObserver).subscribe(() => undefined));
  watch(new QueryObserver(client, startsQuery(client, askClub) as never));
  ends.push(followClub(client, clubId));
  ends.push(whenSaved((start) => putStart(client, start)));
  ends.push(
    planDrafts.whenLanded((plan) => {
      const start = starts().find((s) => s.plan.id === plan.id);
      if (start) putPlan(client, start.id, plan);
    }),
  );
  open = { client, clubId, ends };
  // Runs under way are gone back to.
  for (const kept of everyRun()) if (isUnderWay(kept)) watchRun(kept.run.id);
  void sendEverything();
  void sendAll();
}

function close(): void {
  for (const end of open?.ends ?? []) end();
  open?.client.unmount();
  open?.client.clear();
  open = null;
}

const starts = (): Start[] => open?.client.getQueryData<Start[]>(["starts"]) ?? [];
const startOf = (id: string): Start | undefined =>
  open?.client.getQueryData<Start>(["start", id]) ?? starts().find((s) => s.id === id);

/** Follows a run and its start, as its screen does. */
function watchRun(id: string): void {
  if (!open) return;
  const { client, clubId, ends } = open;
  const askClub = clubAsk(clubId);
  const news = new QueryObserver(client, {
    queryKey: ["run-news", id],
    queryFn: () => readRun(askClub, id).then(() => true),
    refetchInterval: 5_000,
  });
  ends.push(news.subscribe(() => hear(id)));
  const startId = get(id)?.run.startId;
  if (!startId) return;
  const start = new QueryObserver(client, startQuery(client, askClub, startId, 5_000));
  ends.push(start.subscribe(() => hear(id)));
  ends.push(moves.store.subscribe(() => hear(id)));
}

function hear(id: string): void {
  const startId = get(id)?.run.startId;
  if (!startId || !open) return;
  const { data, dataUpdatedAt } = open.client.getQueryState<Start>(["start", startId]) ?? {
    data: undefined,
    dataUpdatedAt: 0,
  };
  followStart(id, data, dataUpdatedAt);
}

const runFor = (startId: string): string | null =>
  everyRun().find((kept) => kept.run.startId === startId && isUnderWay(kept))?.run.id ?? null;

/** What can be done on the device. Each says whether there was anything to do it to. */
const acts = {
  async signIn(email: string, password: string): Promise<boolean> {
    signedInAs(await ask("me", "POST", "/auth/sign-in", { email, password }));
    openClub();
    return true;
  },
  async signOut(): Promise<boolean> {
    await ask("done", "POST", "/auth/sign-out");
    signedOutHere();
    close();
    return true;
  },
  move(startId: string, minutes: number): boolean {
    const start = startOf(startId);
    if (!start || !open) return false;
    const now = withMove(start);
    moveStart(open.clubId, now, new Date(Date.parse(now.startsAt) + minutes * 60_000).toISOString());
    return true;
  },
  moveInRun(startId: string, minutes: number): boolean {
    const id = runFor(startId);
    const kept = id ? get(id) : null;
    if (!id || !kept) return false;
    moveRun(id, new Date(stateOf(kept).startsAt + minutes * 60_000).toISOString(), null);
    return true;
  },
  begin(startId: string): boolean {
    const start = startOf(startId);
    if (!start || runFor(startId)) return false;
    const now = withMove(start);
    const id = createRun(now, runPlanOf(fitPlan(now.plan.body, 1800), now.startsAt));
    pressRun(id, { kind: "begin" });
    watchRun(id);
    return true;
  },
  press(startId: string, kind: "hold" | "release" | "done" | "back"): boolean {
    const id = runFor(startId);
    const kept = id ? get(id) : null;
    if (!id || !kept || isFollowed(kept)) return false;
    const of = stateOf(kept).splits[stateOf(kept).index]?.key;
    pressRun(id, (of && kind !== "hold" && kind !== "release" ? { kind, of } : { kind }) as NewPress);
    return true;
  },
  /** Opens a run that goes on elsewhere. */
  async follow(startId: string): Promise<boolean> {
    if (!open || runFor(startId)) return false;
    const askClub = clubAsk(open.clubId);
    const { runs } = await askClub("openRunList", "GET", "/open-runs");
    const run = runs.find((r) => r.startId === startId);
    if (!run) return false;
    await readRun(askClub, run.id);
    watchRun(run.id);
    return true;
  },
  takeOver(startId: string): boolean {
    const id = runFor(startId);
    if (!id) return false;
    takeRun(id);
    return true;
  },
  tick(startId: string, line: string, isOn: boolean): boolean {
    if (!open || !startOf(startId)) return false;
    tick(`/clubs/${open.clubId}/starts/${startId}/ticks`, { step: "pack", line }, isOn, []);
    return true;
  },
  plan(startId: string, points: number): boolean {
    const start = startOf(startId);
    if (!start || !open) return false;
    const key = start.plan.id;
    const draft = editedPlan(planDrafts.get(key), start.plan, open.clubId, (body) => ({
      ...body,
      stepPoints: points,
    }));
    if (draft) planDrafts.put(key, draft);
    return true;
  },
  /** Changes a start's sheet: its title, or who warms up with it. */
  edit(startId: string, title: string, group: string[]): boolean {
    const start = startOf(startId);
    if (!start || !open) return false;
    editStart(open.clubId, start, group.length > 0 ? { setting: { ...start.setting, group } } : { title });
    return true;
  },
};

/** What the device shows and keeps, for the rules. */
function look() {
  return {
    me: currentAccount().me?.id ?? null,
    role: currentAccount().club?.role ?? null,
    time: timeNow(),
    starts: starts().map((start) => {
      const now = withMove(start);
      return {
        id: now.id,
        startsAt: Date.parse(now.startsAt),
        title: now.title,
        points: now.plan.body.stepPoints,
      };
    }),
    runs: everyRun().map((kept) => ({
      id: kept.run.id,
      startsAt: stateOf(kept).startsAt,
      status: stateOf(kept).status,
      events: kept.events.map((e) => e.id).sort(),
      refused: kept.refused,
      isOver: !isUnderWay(kept),
    })),
    ticks: tickBox.keys(),
    unsent: everyOutbox().reduce((sum, box) => sum + box.unsent(), 0),
    conflicts: [...planDrafts.standings.getState().values()].filter((s) => s.conflict !== null).length,
    held: startEdits.keys().length,
    failures: everyFailure().map(({ sentence }) => sentence),
    others: everyOutbox().flatMap((box) => box.ofOthers()).length,
  };
}

Object.assign(globalThis, { device: { acts, look, openClub, close, sendEverything } });
