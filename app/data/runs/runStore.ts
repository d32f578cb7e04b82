import type { RunEvent, RunPlan } from "@tonodrome/core";
import type { Run } from "@tonodrome/core/api";
import {
  MOST_AHEAD,
  runEventSchema,
  runEventsAnswerSchema,
  runInputSchema,
  runSchema,
  type Start,
} from "@tonodrome/core/api";
import { useSyncExternalStore } from "react";
import { v4 as uuid } from "uuid";
import { z } from "zod";
import { currentAccount } from "~/data/account/account";
import { ApiFailure, ask, askTime } from "~/data/client/api";
import { isTimeKnown, timeNow, whenCorrected } from "~/data/client/clock";
import { forget, keep, keptKeys, keptText, readKept } from "~/data/device/storage";

/** What of a run does not change. */
const aboutSchema = z.object({
  /** The club it is made in. A run kept by an earlier version has none and belongs to the one that is open. */
  clubId: z.string().nullish(),
  /** Whose it is; not known of one that was taken up from the server. */
  athleteId: z.string().nullish(),
  run: runSchema.omit({ events: true }),
});

/** What is pressed, and how far the server knows it. Kept by itself, so that a press writes little. */
const pressedSchema = z.object({
  events: z.array(runEventSchema),
  /** Whether the server has the run itself. */
  created: z.boolean(),
  /** Ids of the events that the server has confirmed. */
  recorded: z.array(z.string()),
  /** The server's words when it will never take this run; null while there is hope. */
  refused: z.string().nullable(),
  /** Presses that the server will never take, while it takes the others: kept, and not counted. */
  setAside: z.array(runEventSchema).default([]),
});

type Pressed = z.infer<typeof pressedSchema>;

export type KeptRun = z.infer<typeof aboutSchema> & Pressed;

/** Refusals that asking again does not change. */
const FINAL = new Set<string>(["not_found", "invalid_input", "forbidden"]);

const ABOUT = "run:";
const PRESSED = "run-presses:";
const RETRY = 3_000;
/** What a press did is painted before it is sent, milliseconds. */
const PAINTED = 40;

const listeners = new Set<() => void>();
const runs = new Map<string, KeptRun>();
/** What this tab wrote last of each run. */
const written = new Map<string, string | null>();
/** How the server did when it was last sent to. */
export type Link = "reached" | "unreachable" | "troubled";
let link: Link = "reached";
/** Whether this device could keep the last thing it was given to keep. */
let keeps = true;
let sending = false;
let timer: ReturnType<typeof setTimeout> | undefined;

/** Reads what this device kept; again whenever another tab has kept something. */
function load(): void {
  for (const key of keptKeys(ABOUT)) {
    const id = key.slice(ABOUT.length);
    const here = runs.get(id);
    const about = here ?? readKept(key, aboutSchema);
    // An earlier version kept everything under one key.
    const pressed = readKept(`${PRESSED}${id}`, pressedSchema) ?? readKept(key, pressedSchema);
    if (!about || !pressed) continue;
    const { clubId, athleteId, run } = about;
    runs.set(id, { clubId, athleteId, run, ...merged(here, pressed) });
  }
}

/** What two tabs know of one run: everything that was pressed in either. */
function merged(here: Pressed | undefined, there: Pressed): Pressed {
  if (!here) return there;
  const known = new Set(here.events.map((e) => e.id));
  const news = there.events.filter((e) => !known.has(e.id) && !here.setAside.some((a) => a.id === e.id));
  const { created, recorded, refused } = here;
  const setAside = [...new Map([...here.setAside, ...there.setAside].map((e) => [e.id, e])).values()];
  const away = new Set(setAside.map((e) => e.id));
  const events = here.events.filter((e) => !away.has(e.id));
  return {
    setAside,
    events: news.length > 0 ? [...events, ...news] : events,
    created: created || there.created,
    recorded: [...new Set([...recorded, ...there.recorded])],
    refused: refused ?? there.refused,
  };
}

load();
window.addEventListener("storage", (event) => {
  if (!event.key?.startsWith(ABOUT) && !event.key?.startsWith(PRESSED)) return;
  load();
  for (const tell of listeners) tell();
});

function get(id: string): KeptRun | null {
  return runs.get(id) ?? null;
}

/** Keeps what is known of a run. What another tab has pressed in the meantime stays with it: nothing is written over. */
function put(kept: KeptRun): void {
  const { clubId, athleteId, run } = kept;
  const isNew = !runs.has(run.id);
  const key = `${PRESSED}${run.id}`;
  // What was written here last is known here; only what another tab wrote has to be read.
  const isOwn = written.get(run.id) === keptText(key);
  const stored = isOwn ? null : readKept(key, pressedSchema);
  const pressed = merged(kept, stored ?? kept);
  runs.set(run.id, { clubId, athleteId, run, ...pressed });
  const { events, created, recorded, refused, setAside } = pressed;
  const isAboutKept =
    isNew || !isStored(run.id) ? keep(`${ABOUT}${run.id}`, { clubId, athleteId, run }) : true;
  keeps = keep(key, { events, created, recorded, refused, setAside }) && isAboutKept;
  written.set(run.id, keptText(key));
  for (const tell of listeners) tell();
}

/** Whether what does not change of a run is on this device, where that could be kept. */
const isStored = (id: string) => keptKeys(ABOUT).includes(`${ABOUT}${id}`);

function drop(id: string): void {
  runs.delete(id);
  forget(`${ABOUT}${id}`);
  forget(`${PRESSED}${id}`);
}

/** Begins a run on this device; it is sent to the server as soon as that can be reached. */
export function createRun(start: Start, plan: RunPlan): string {
  const id = uuid();
  const { title, venue, zone, startsAt } = start;
  put({
    clubId: currentAccount().club?.id,
    athleteId: start.athlete.id,
    run: { id, startId: start.id, athleteName: start.athlete.name, title, venue, zone, startsAt, plan },
    events: [],
    created: false,
    recorded: [],
    refused: null,
    setAside: [],
  });
  void sendAll();
  return id;
}

/**
 * Takes up a run that the server has, to go on with it here; or what has been pressed on other phones in the meantime, of
 * one that is here already.
 */
export function adoptRun({ events, ...run }: Run): void {
  const kept = get(run.id);
  if (!kept) {
    const clubId = currentAccount().club?.id;
    put({
      clubId,
      run,
      events,
      created: true,
      recorded: events.map((e) => e.id),
      refused: null,
      setAside: [],
    });
    return;
  }
  // What the server has recorded stands as it has it, also where its answer was lost and the time corrected since.
  const theirs = new Map(events.map((e) => [e.id, e]));
  const known = new Map(kept.events.map((e) => [e.id, e]));
  const recorded = new Set(kept.recorded);
  const news = events.filter((e) => !known.has(e.id));
  if (events.every((e) => recorded.has(e.id) && known.get(e.id)?.at === e.at)) return;
  put({
    ...kept,
    created: true,
    events: [...kept.events.map((e) => theirs.get(e.id) ?? e), ...news],
    recorded: [...new Set([...kept.recorded, ...theirs.keys()])],
  });
}

const inTime = (a: RunEvent, b: RunEvent) => Date.parse(a.at) - Date.parse(b.at);

/**
 * When the last of some events was, milliseconds since the epoch. What is stamped further ahead than a clock may be off
 * does not count: one phone with a wrong clock must not carry the others along.
 */
function lastOf(events: readonly RunEvent[]): number {
  const latest = timeNow() + MOST_AHEAD;
  return events.map((e) => Date.parse(e.at)).reduce((last, at) => (at > last && at <= latest ? at : last), 0);
}

export type Press = RunEvent extends infer E ? (E extends RunEvent ? Omit<E, "id" | "at"> : never) : never;

/** Records a press: kept here at once, sent when the server can be reached. */
export function pressRun(id: string, press: Press): void {
  const kept = get(id);
  if (!kept) return;
  // Never before what has been seen: another phone's clock may be a little ahead of this one's.
  const at = Math.max(timeNow(), lastOf(kept.events) + 1);
  const event = { ...press, id: uuid(), at: new Date(at).toISOString() } as RunEvent;
  put({ ...kept, events: [...kept.events, event] });
  clearTimeout(timer);
  timer = setTimeout(sendAll, PAINTED);
}

/**
 * The time turned out to be another than was thought: every press that only this device knows of was stamped by what was
 * thought, and is stamped anew. They keep their order, and come after what the server has.
 */
function restamp(by: number): void {
  for (const kept of runs.values()) {
    const recorded = new Set(kept.recorded);
    const unsent = kept.events.filter((e) => !recorded.has(e.id)).sort(inTime);
    if (unsent.length === 0) continue;
    let last = lastOf(kept.events.filter((e) => recorded.has(e.id)));
    const stamps = new Map<string, string>();
    for (const { id, at } of unsent) {
      last = Math.max(last + 1, Date.parse(at) + by);
      stamps.set(id, new Date(last).toISOString());
    }
    put({ ...kept, events: kept.events.map((e) => ({ ...e, at: stamps.get(e.id) ?? e.at })) });
  }
}
whenCorrected(restamp);

/** Sends whatever the server does not have yet, and tries again later when it cannot be reached. */
export async function sendAll(): Promise<void> {
  if (sending) return;
  sending = true;
  clearTimeout(timer);
  try {
    if (!isTimeKnown() && [...runs.keys()].some(waiting)) await askTime();
    for (const id of [...runs.keys()]) await sendRun(id);
    setLink("reached");
  } catch (error) {
    setLink(error instanceof ApiFailure && error.code === "unreachable" ? "unreachable" : "troubled");
    timer = setTimeout(sendAll, RETRY);
  } finally {
    sending = false;
  }
  // Presses made while sending.
  if (link === "reached" && [...runs.keys()].some(waiting)) timer = setTimeout(sendAll, 0);
}

function waiting(id: string): boolean {
  const kept = get(id);
  return kept !== null && kept.refused === null && isUnsent(kept) && clubOf(kept) !== null;
}

const isUnsent = (kept: KeptRun) => !kept.created || kept.events.length > kept.recorded.length;

/** The club to send a run to; null while nobody who belongs to it is signed in: then it waits. */
function clubOf(kept: KeptRun): string | null {
  const { me, club } = currentAccount();
  if (!kept.clubId) return club?.id ?? null;
  return me?.clubs.some((c) => c.id === kept.clubId) ? kept.clubId : null;
}

/** How many runs have presses that only this device knows. */
export function unsentRuns(): number {
  return [...runs.values()].filter(isUnsent).length;
}

/** Frees this device of every run that the server has whole: what is left is only here. */
export function forgetSentRuns(): void {
  for (const [id, kept] of runs) {
    if (isUnsent(kept)) continue;
    drop(id);
  }
  for (const tell of listeners) tell();
}

async function sendRun(id: string): Promise<void> {
  if (!waiting(id)) return forgetIfOver(id);
  try {
    const before = get(id) as KeptRun;
    const base = `/clubs/${clubOf(before)}/runs`;
    if (!before.created) {
      const { startId, plan } = before.run;
      await ask(runSchema, "POST", base, runInputSchema.parse({ id, startId, plan }));
      put({ ...(get(id) as KeptRun), created: true });
    }
    const { events, recorded } = get(id) as KeptRun;
    const known = new Set(recorded);
    const unsent = events.filter((e) => !known.has(e.id)).slice(0, TOGETHER);
    if (unsent.length === 0) return;
    await sendPresses(id, base, unsent);
  } catch (error) {
    const final = error instanceof ApiFailure && FINAL.has(error.code);
    if (!final) throw error;
    // It stays on this device, but asking again is pointless.
    put({ ...(get(id) as KeptRun), refused: error.message });
  }
}

/** Presses sent in one request. */
const TOGETHER = 200;

/** Sends presses of a run. One that is refused is set aside, and the others go on. */
async function sendPresses(id: string, base: string, unsent: readonly RunEvent[]): Promise<void> {
  try {
    const answer = await ask(runEventsAnswerSchema, "POST", `${base}/${id}/events`, { events: unsent });
    const now = get(id) as KeptRun;
    put({ ...now, recorded: [...now.recorded, ...answer.recorded] });
  } catch (error) {
    const refused = error instanceof ApiFailure ? refusedOf(error, unsent) : [];
    if (refused.length === 0) throw error;
    const isEarly = error instanceof ApiFailure && error.path?.endsWith(".at");
    const [first] = refused;
    if (isEarly && first && !stampedAnew.has(first.id)) {
      // It was pressed, only by a wrong clock: it is stamped by the right one, once.
      stampedAnew.add(first.id);
      await askTime();
      stampNoLaterThanNow(id);
      return;
    }
    const away = new Set(refused.map((e) => e.id));
    const now = get(id) as KeptRun;
    put({
      ...now,
      events: now.events.filter((e) => !away.has(e.id)),
      setAside: [...now.setAside, ...refused],
    });
  }
}

/** Presses that were stamped anew because the server found them early. */
const stampedAnew = new Set<string>();

/** Which of the presses sent the server means by a refusal: the one it names, or, of a full run, all. */
function refusedOf({ code, path }: ApiFailure, unsent: readonly RunEvent[]): readonly RunEvent[] {
  if (code === "full") return unsent;
  const index = code === "invalid_input" ? /^events\.(\d+)(\.|$)/.exec(path ?? "")?.[1] : undefined;
  return index === undefined ? [] : unsent.slice(Number(index), Number(index) + 1);
}

/** No press of this device is later than it is now; they keep their order. */
function stampNoLaterThanNow(id: string): void {
  const kept = get(id);
  if (!kept) return;
  const recorded = new Set(kept.recorded);
  const now = timeNow();
  const stamps = new Map<string, string>();
  const early = kept.events.filter((e) => !recorded.has(e.id) && Date.parse(e.at) > now).sort(inTime);
  for (const [i, event] of early.entries())
    stamps.set(event.id, new Date(now - early.length + i).toISOString());
  put({ ...kept, events: kept.events.map((e) => ({ ...e, at: stamps.get(e.id) ?? e.at })) });
}

/** A run that is over is kept here for so long after its last press, milliseconds. */
const KEPT_AFTER = 3_600_000;

/** Frees this device of a run that is over and that the server has whole. The log shows it from there. */
function forgetIfOver(id: string): void {
  const kept = get(id);
  const last = kept?.events.at(-1);
  if (!kept || !last || kept.refused || isUnsent(kept) || isUnderWay(kept)) return;
  if (timeNow() - Date.parse(last.at) >= KEPT_AFTER) drop(id);
}

function setLink(now: Link): void {
  if (now === link) return;
  link = now;
  for (const tell of listeners) tell();
}

function subscribe(tell: () => void): () => void {
  listeners.add(tell);
  return () => listeners.delete(tell);
}

/** A run kept on this device; null when it is not here. */
export function useKeptRun(id: string): KeptRun | null {
  return useSyncExternalStore(subscribe, () => get(id));
}

/** How the server did when it was last sent to. */
export const linkNow = (): Link => link;

export const useLink = (): Link => useSyncExternalStore(subscribe, linkNow);

/** Whether this device can keep what is pressed; a store that is full or forbidden cannot. */
export const canKeep = (): boolean => keeps;

export const useKeeps = (): boolean => useSyncExternalStore(subscribe, canKeep);

let open: readonly KeptRun[] = [];

/** Runs under way on this device, the next start first. */
export function openRuns(): readonly KeptRun[] {
  const now = [...runs.values()]
    .filter(isUnderWay)
    .sort((a, b) => Date.parse(a.run.startsAt) - Date.parse(b.run.startsAt));
  // The same list as long as nothing changes, as whoever subscribes expects.
  if (now.length !== open.length || now.some((run, i) => run !== open[i])) open = now;
  return open;
}

export const useOpenRuns = (): readonly KeptRun[] => useSyncExternalStore(subscribe, openRuns);

/** The run under way for a start on this device, to go back to: of the athlete whose start it is, and of no earlier one. */
export function openRunOf({ id, athlete }: Pick<Start, "id" | "athlete">): string | null {
  const own = openRuns().find(
    ({ run, athleteId }) => run.startId === id && (athleteId ?? athlete.id) === athlete.id,
  );
  return own?.run.id ?? null;
}

export const useOpenRun = (start: Pick<Start, "id" | "athlete">): string | null =>
  useSyncExternalStore(subscribe, () => openRunOf(start));

/** A run that nobody ended is over all the same when nothing has been heard of it for half a day, milliseconds. */
const FORGOTTEN = 12 * 3_600_000;

function isUnderWay({ run, events }: KeptRun): boolean {
  const last = Math.max(Date.parse(run.startsAt), Date.parse(events.at(-1)?.at ?? run.startsAt));
  return timeNow() - last < FORGOTTEN && !events.some((e) => e.kind === "end");
}
