import { type QueryClient, QueryObserver } from "@tanstack/query-core";
import { fitPlan, runPlanOf } from "@tonodrome/core";
import type { Day, Start } from "@tonodrome/core/api";
import { usualDay } from "@tonodrome/core/day";
import type { Tick } from "@tonodrome/core/lists";
import {
  currentAccount,
  signedInAs,
  signedOutHere,
  whenAccountChanges,
  whenSessionEnds,
} from "~/data/account/account";
import { ask } from "~/data/client/api";
import { timeNow } from "~/data/client/clock";
import { dayDrafts, type Steps } from "~/data/day/dayDraft";
import { shownTicks, tick } from "~/data/day/ticks";
import { followClub } from "~/data/live/followClub";
import type { Standing } from "~/data/outbox/drafts";
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
import { editStart, saveStartEdit, startEdits, whenSaved } from "~/data/starts/startEdits";

/*
 * A device of the hall: the application's own data layer without its screens, with what a screen would press. The hall puts it
 * into a realm of its own.
 */

/** The start whose day is open beside Today. */
declare const dayOf: string;

whenSessionEnds(forgetSentRuns);
let isOf: string | null = null;
whenAccountChanges(() => {
  const { me, club } = currentAccount();
  const now = me && club ? `${me.id} ${club.id} ${club.role}` : null;
  if (now !== isOf) openClub();
});

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
  const { me, club } = currentAccount();
  isOf = me && club ? `${me.id} ${club.id} ${club.role}` : null;
  if (!me || !club) return;
  const client = makeQueryClient();
  client.mount();
  const clubId = club.id;
  const askClub = clubAsk(clubId);
  const ends: (() => void)[] = [];
  const watch = (observer: object) => ends.push((observer as QueryObserver).subscribe(() => undefined));
  watch(new QueryObserver(client, startsQuery(client, askClub) as never));
  ends.push(followClub(client, clubId));
  ends.push(whenSaved((start) => putStart(client, start)));
  ends.push(
    planDrafts.whenLanded((plan) => {
      const start = starts().find((s) => s.plan.id === plan.id);
      if (start) putPlan(client, start.id, plan);
    }),
  );
  const every = { refetchInterval: 15_000 };
  const day = ["day", dayOf];
  watch(
    new QueryObserver(client, {
      ...every,
      queryKey: day,
      queryFn: () => askClub("day", "GET", `/starts/${dayOf}/day`),
    }),
  );
  watch(
    new QueryObserver(client, {
      ...every,
      queryKey: [...day, "ticks"],
      queryFn: () => askClub("ticks", "GET", `/starts/${dayOf}/ticks`),
    }),
  );
  ends.push(
    dayDrafts.whenLanded((answer, id, how) => {
      if (how.kind !== "theirs" || how.side !== null) client.setQueryData(["day", id], answer);
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

const ticksAt = (clubId: string, startId: string) => `/clubs/${clubId}/starts/${startId}/ticks`;
const ticksOf = ({ client, clubId }: Open, startId: string): readonly Tick[] =>
  shownTicks(
    ticksAt(clubId, startId),
    client.getQueryData<{ ticks: Tick[] }>(["day", startId, "ticks"])?.ticks ?? [],
  );

const usualOf = ({ startsAt, zone }: Start) =>
  usualDay({ startsAt, zone, warmUpSeconds: 1800, event: null, travel: { usual: 25, bad: 40 } });

/** What can be done on the device. Each says whether there was anything to do it to. */
const acts = {
  async signIn(email: string, password: string): Promise<boolean> {
    signedInAs(await ask("me", "POST", "/auth/sign-in", { email, password }));
    return true;
  },
  async signOut(): Promise<boolean> {
    await ask("done", "POST", "/auth/sign-out");
    signedOutHere();
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
    const path = ticksAt(open.clubId, startId);
    tick(path, { step: "pack", line }, isOn, ticksOf(open, startId));
    return true;
  },
  /** Notes something at the first step of the day. */
  day(startId: string, note: string): boolean {
    const start = startOf(startId);
    const day = open?.client.getQueryData<Day>(["day", startId]);
    if (!start || !day || !open) return false;
    const draft = dayDrafts.get(startId) ?? { version: day.version, base: day.steps };
    const now: Steps = ("value" in draft ? draft.value : day.steps) ?? usualOf(start);
    const steps = now.map((step, i) => (i === 0 ? { ...step, note } : step));
    dayDrafts.put(startId, { ...draft, clubId: open.clubId, value: steps });
    return true;
  },
  /** Opens whatever waits for somebody: what was found from before is saved, of two versions one is kept. */
  decide(side: "mine" | "theirs"): boolean {
    let isAny = false;
    for (const drafts of [planDrafts, dayDrafts])
      for (const key of drafts.box.keys()) {
        const { conflict, restored } = drafts.standingOf(key);
        if (conflict) void drafts.decide(key, side);
        else if (restored) void drafts.save(key);
        isAny ||= conflict !== null || restored;
      }
    for (const key of startEdits.keys())
      if (startEdits.get(key)?.theirs) {
        isAny = true;
        if (side === "mine") void saveStartEdit(key);
        else startEdits.change(key, () => null);
      }
    return isAny;
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

/** The day's first note, where it was read. */
function dayLook(): { note: string | null; isEdited: boolean } | null {
  const day = open?.client.getQueryData<Day>(["day", dayOf]);
  return day ? { note: day.steps?.[0]?.note ?? null, isEdited: dayDrafts.get(dayOf) !== null } : null;
}

/** How many edits of warm-ups and days wait for somebody, and for what. */
const waiting = (
  isIt: (standing: Pick<Standing<never, never>, "restored" | "conflict">) => boolean,
): number =>
  [planDrafts, dayDrafts].reduce(
    (sum, drafts) => sum + drafts.box.keys().filter((key) => isIt(drafts.standingOf(key) as never)).length,
    0,
  );

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
    ticks: open && Object.fromEntries(ticksOf(open, dayOf).map(({ line, isOn }) => [line, isOn])),
    day: dayLook(),
    unsent: everyOutbox().reduce((sum, box) => sum + box.unsent(), 0),
    conflicts: waiting(({ conflict }) => conflict !== null),
    found: waiting(({ restored }) => restored),
    held: startEdits.keys().length,
    failures: everyFailure().map(({ sentence }) => sentence),
    others: everyOutbox().flatMap((box) => box.ofOthers()).length,
  };
}

/** The ids of what was pressed here and is not on the server yet. */
const made = (): string[] => [
  ...everyRun().flatMap(({ events, recorded }) =>
    events.map(({ id }) => id).filter((id) => !recorded.includes(id)),
  ),
  ...moves.keys().flatMap((key) => moves.get(key)?.id ?? []),
];

Object.assign(globalThis, { device: { acts, made, look, openClub, close, sendEverything } });
