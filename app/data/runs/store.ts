import type { Start } from "@tonodrome/core/api";
import { createStore } from "zustand/vanilla";
import { whenAccountChanges } from "~/data/account/account";
import { timeNow } from "~/data/client/clock";
import { forget, keep, keptKeys, readKept } from "~/data/device/storage";
import { type Link, makeOutbox } from "~/data/outbox/outbox";
import { afterPaint } from "~/ui/afterPaint";
import {
  type About,
  aboutIn,
  type HeardMove,
  isUnderWay,
  isUnsent,
  type KeptRun,
  merged,
  type Pressed,
  pressedIn,
} from "./keptRun";
import { restamped } from "./stamps";

/*
 * The runs on this device, in memory and stored. The part that a press changes is stored apart, so that a press writes little.
 * A run belongs to the person who made it here: nobody else on this phone sees it.
 */

const ABOUT = "run:";

/** How long after no answer presses are sent again, and how long after a press they are sent at the latest, milliseconds. */
const RETRY = 3_000;
const AT_LATEST = 250;

interface Runs {
  runs: ReadonlyMap<string, KeptRun>;
  /** Whether this device could store the last press. */
  keeps: boolean;
  link: Link;
}

/** The part that does not change, of a run on this device. */
const abouts = new Map<string, About>();

function aboutOf(id: string): About | null {
  const known = abouts.get(id) ?? readKept(`${ABOUT}${id}`, aboutIn);
  if (known) abouts.set(id, known);
  return known;
}

/** How long after its frame was painted a press is sent: it is on the screen by then, milliseconds. */
const PAINTED = 20;

/** Sends a run and its presses; set from outside, because it uses this store. */
let send: (id: string) => Promise<void> = async () => undefined;
export function sendBy(how: typeof send): void {
  send = how;
}

/** The presses, by run. */
export const presses = makeOutbox<Pressed>({
  prefix: "run-presses:",
  read: pressedIn,
  merge: merged,
  isUnsent,
  mayGo: ({ refused }) => refused === null,
  // Without the part that does not change nothing can be sent.
  clubOf: (_, id) => aboutOf(id)?.clubId ?? "",
  send: (_, id) => send(id),
  pause: AT_LATEST,
  retry: RETRY,
  soon: (go) => afterPaint(go, PAINTED),
  isTimed: true,
  restamp: restamped,
  words: (count) => (count === 1 ? "1 run" : `${count} runs`),
});

/** Where the starts of runs are now, if their logs do not say so yet. */
const heard = new Map<string, HeardMove>();

/** The runs of whoever is signed in, for drawing. */
export const runStore = createStore<Runs>(() => ({ runs: new Map(), keeps: true, link: "reached" }));

/** The part that a press changes. */
const pressedOf = ({ events, created, recorded, refused, setAside, took }: Pressed): Pressed => ({
  ...{ events, created, recorded, refused, setAside, took },
});

const isSamePressed = (a: Pressed, b: Pressed) =>
  (Object.keys(pressedOf(a)) as (keyof Pressed)[]).every((field) => a[field] === b[field]);

/** Returns the runs as they are now; an unchanged one is the same object as before. */
function derive(): void {
  const before = runStore.getState().runs;
  const runs = new Map<string, KeptRun>();
  for (const id of presses.store.getState().items.keys()) {
    const [pressed, about] = [presses.get(id), aboutOf(id)];
    if (!pressed || !about || hidden.has(id)) continue;
    const move = heard.get(id) ?? null;
    const old = before.get(id);
    const isSame =
      old !== undefined && old.run === about.run && old.heard === move && isSamePressed(old, pressed);
    runs.set(id, isSame ? old : { ...about, ...pressed, heard: move });
  }
  const { keeps, link } = presses.store.getState();
  runStore.setState({ runs, keeps, link });
}

/** Runs that cannot be replayed here: they stay stored and are not shown. */
const hidden = new Set<string>();

/** Leaves a run out of everything shown. */
export function hide(id: string): void {
  hidden.add(id);
  derive();
}

/** Notes where the start of a run is now; null where its log is right. */
export function hearMove(id: string, move: HeardMove | null): void {
  if ((heard.get(id) ?? null) === move) return;
  if (move) heard.set(id, move);
  else heard.delete(id);
  derive();
}

/** Returns whether a run was opened half a day ago and never begun: it need not be kept. */
function forgetUnbegun(): void {
  for (const id of presses.keys()) {
    const [pressed, about] = [presses.get(id), aboutOf(id)];
    if (!pressed || !about) continue;
    if (!pressed.created && !isUnsent(pressed) && !isUnderWay({ ...about, ...pressed })) drop(id);
  }
}

/** Returns a run of whoever is signed in; null when it is not on this device. */
export function get(id: string): KeptRun | null {
  return runStore.getState().runs.get(id) ?? null;
}

/** Stores a run. Presses of another tab stay with it: nothing is written over. */
export function put(kept: KeptRun, { quietly = false } = {}): void {
  const { clubId, athleteId, begunHere, run } = kept;
  const about = { clubId, ...(athleteId === undefined ? {} : { athleteId }), begunHere, run };
  if (abouts.get(run.id)?.run !== run || !isStored(run.id)) {
    abouts.set(run.id, about);
    keep(`${ABOUT}${run.id}`, about);
  }
  presses.change(run.id, (now) => merged(pressedOf(kept), now ?? kept), { quietly });
}

/** Returns whether the part of a run that does not change is stored on this device. */
const isStored = (id: string) => keptKeys(ABOUT).includes(`${ABOUT}${id}`);

/** Removes a run from this device. */
export function drop(id: string): void {
  heard.delete(id);
  abouts.delete(id);
  forget(`${ABOUT}${id}`);
  presses.change(id, () => null);
}

/** Returns every run on this device. */
export const everyRun = (): readonly KeptRun[] => [...runStore.getState().runs.values()];

/** Returns the runs under way on this device, the next start first. */
export function openRuns(): readonly KeptRun[] {
  return everyRun()
    .filter(isUnderWay)
    .toSorted((a, b) => Date.parse(a.run.startsAt) - Date.parse(b.run.startsAt));
}

/** Returns the run under way for a start on this device: of its present athlete, not of an earlier one. */
export function openRunOf({ id, athlete }: Pick<Start, "id" | "athlete">): string | null {
  const own = openRuns().find(
    ({ run, athleteId }) => run.startId === id && (athleteId ?? athlete.id) === athlete.id,
  );
  return own?.run.id ?? null;
}

/** How long after its last press a run that is over is kept here, milliseconds. */
const KEPT_AFTER = 3_600_000;

/** Removes runs that are over and that the server has whole. The log shows them from there. */
export function forgetOver(): void {
  for (const kept of everyRun()) {
    if (isUnsent(kept) || isUnderWay(kept)) continue;
    const last = kept.events.at(-1);
    if (last && timeNow() - Date.parse(last.at) >= KEPT_AFTER) drop(kept.run.id);
  }
}

forgetUnbegun();
derive();
presses.store.subscribe(derive);
whenAccountChanges(derive);
