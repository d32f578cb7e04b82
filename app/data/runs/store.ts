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
 * Runs as this device has them, in memory and kept. What changes with a press is kept apart from what does not, so that a
 * press writes little. A run is of the person who made it here: nobody else on this phone sees it.
 */

const ABOUT = "run:";

/** How long after no answer presses are sent again, and at the latest after a press, milliseconds. */
const RETRY = 3_000;
const AT_LATEST = 250;

interface Runs {
  runs: ReadonlyMap<string, KeptRun>;
  /** Whether this device could keep the last thing it was given to keep. */
  keeps: boolean;
  link: Link;
}

/** What does not change of a run that is here. */
const abouts = new Map<string, About>();

function aboutOf(id: string): About | null {
  const known = abouts.get(id) ?? readKept(`${ABOUT}${id}`, aboutIn);
  if (known) abouts.set(id, known);
  return known;
}

/** So long after the frame in which a press is painted it is sent: it is on its way to the screen by then, milliseconds. */
const PAINTED = 20;

/** What sends a run and its presses: it knows this store. */
let send: (id: string) => Promise<void> = async () => undefined;
export function sendBy(how: typeof send): void {
  send = how;
}

/** What was pressed here, by run. */
export const presses = makeOutbox<Pressed>({
  prefix: "run-presses:",
  read: pressedIn,
  merge: merged,
  isUnsent,
  mayGo: ({ refused }) => refused === null,
  // Without what it is about nothing of it can be sent.
  clubOf: (_, id) => aboutOf(id)?.clubId ?? "",
  send: (_, id) => send(id),
  pause: AT_LATEST,
  retry: RETRY,
  soon: (go) => afterPaint(go, PAINTED),
  isTimed: true,
  restamp: restamped,
  words: (count) => (count === 1 ? "1 run" : `${count} runs`),
});

/** Where the starts of runs stand by now, as far as their logs do not have it yet. */
const heard = new Map<string, HeardMove>();

/** The runs here, of whoever is here, for what is drawn of them. */
export const runStore = createStore<Runs>(() => ({ runs: new Map(), keeps: true, link: "reached" }));

/** What changes with a press. */
const pressedOf = ({ events, created, recorded, refused, setAside, took }: Pressed): Pressed => ({
  ...{ events, created, recorded, refused, setAside, took },
});

const isSamePressed = (a: Pressed, b: Pressed) =>
  (Object.keys(pressedOf(a)) as (keyof Pressed)[]).every((field) => a[field] === b[field]);

/** The runs as they are by now; one of which nothing changed is the same as before. */
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

/** Runs that cannot be run here: they stay where they are, and are not shown. */
const hidden = new Set<string>();

/** Leaves a run out of everything that is shown. */
export function hide(id: string): void {
  hidden.add(id);
  derive();
}

/** Notes where the start of a run stands by now; null where its log has it. */
export function hearMove(id: string, move: HeardMove | null): void {
  if ((heard.get(id) ?? null) === move) return;
  if (move) heard.set(id, move);
  else heard.delete(id);
  derive();
}

/** What was opened half a day ago and never begun has nothing to be kept for. */
function forgetUnbegun(): void {
  for (const id of presses.keys()) {
    const [pressed, about] = [presses.get(id), aboutOf(id)];
    if (!pressed || !about) continue;
    if (!pressed.created && !isUnsent(pressed) && !isUnderWay({ ...about, ...pressed })) drop(id);
  }
}

/** A run kept on this device by whoever is here; null when it is not here. */
export function get(id: string): KeptRun | null {
  return runStore.getState().runs.get(id) ?? null;
}

/** Keeps what is known of a run. What another tab has pressed in the meantime stays with it: nothing is written over. */
export function put(kept: KeptRun, { quietly = false } = {}): void {
  const { clubId, athleteId, begunHere, run } = kept;
  const about = { clubId, ...(athleteId === undefined ? {} : { athleteId }), begunHere, run };
  if (abouts.get(run.id)?.run !== run || !isStored(run.id)) {
    abouts.set(run.id, about);
    keep(`${ABOUT}${run.id}`, about);
  }
  presses.change(run.id, (now) => merged(pressedOf(kept), now ?? kept), { quietly });
}

/** Whether what does not change of a run is on this device, where that could be kept. */
const isStored = (id: string) => keptKeys(ABOUT).includes(`${ABOUT}${id}`);

/** Frees this device of a run. */
export function drop(id: string): void {
  heard.delete(id);
  abouts.delete(id);
  forget(`${ABOUT}${id}`);
  presses.change(id, () => null);
}

/** Every run that is here. */
export const everyRun = (): readonly KeptRun[] => [...runStore.getState().runs.values()];

/** Runs under way on this device, the next start first. */
export function openRuns(): readonly KeptRun[] {
  return everyRun()
    .filter(isUnderWay)
    .toSorted((a, b) => Date.parse(a.run.startsAt) - Date.parse(b.run.startsAt));
}

/** The run under way for a start on this device, to go back to: of the athlete whose start it is, and of no earlier one. */
export function openRunOf({ id, athlete }: Pick<Start, "id" | "athlete">): string | null {
  const own = openRuns().find(
    ({ run, athleteId }) => run.startId === id && (athleteId ?? athlete.id) === athlete.id,
  );
  return own?.run.id ?? null;
}

/** A run that is over is kept here for so long after its last press, milliseconds. */
const KEPT_AFTER = 3_600_000;

/** Frees this device of runs that are over and that the server has whole. The log shows them from there. */
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
