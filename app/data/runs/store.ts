import type { Start } from "@tonodrome/core/api";
import { createStore } from "zustand";
import { forget, keep, keptKeys, keptText, readKept } from "~/data/device/storage";
import { aboutIn, isUnderWay, isUnsent, type KeptRun, merged, pressedIn } from "./keptRun";

/*
 * Runs as this device has them, in memory and kept. What changes with a press is kept apart from what does not, so that a
 * press writes little.
 */

const ABOUT = "run:";
const PRESSED = "run-presses:";

/** How the server did when it was last sent to. */
export type Link = "reached" | "unreachable" | "troubled";

interface Runs {
  runs: ReadonlyMap<string, KeptRun>;
  /** Whether this device could keep the last thing it was given to keep. */
  keeps: boolean;
  link: Link;
}

/** The runs here, for what is drawn of them. */
export const runStore = createStore<Runs>(() => ({ runs: new Map(), keeps: true, link: "reached" }));

/** What this tab wrote last of each run. */
const written = new Map<string, string | null>();

/** Reads what this device kept; again whenever another tab has kept something. */
function load(): void {
  const runs = new Map(runStore.getState().runs);
  for (const key of keptKeys(ABOUT)) {
    const id = key.slice(ABOUT.length);
    const here = runs.get(id);
    const about = here ?? readKept(key, aboutIn);
    const pressed = readKept(`${PRESSED}${id}`, pressedIn);
    if (!about || !pressed) continue;
    // One that was opened half a day ago and never begun has nothing to be kept for.
    if (!pressed.created && !isUnsent({ ...about, ...pressed }) && !isUnderWay({ ...about, ...pressed })) {
      forget(key);
      forget(`${PRESSED}${id}`);
      runs.delete(id);
      continue;
    }
    const { clubId, athleteId, begunHere, run } = about;
    runs.set(id, { clubId, athleteId, begunHere, run, ...merged(here, pressed) });
  }
  runStore.setState({ runs });
}

load();
window.addEventListener("storage", (event) => {
  if (!event.key?.startsWith(ABOUT) && !event.key?.startsWith(PRESSED)) return;
  load();
});

/** A run kept on this device; null when it is not here. */
export function get(id: string): KeptRun | null {
  return runStore.getState().runs.get(id) ?? null;
}

/** Keeps what is known of a run. What another tab has pressed in the meantime stays with it: nothing is written over. */
export function put(kept: KeptRun): void {
  const { clubId, athleteId, begunHere, run } = kept;
  const { runs } = runStore.getState();
  const isNew = !runs.has(run.id);
  const key = `${PRESSED}${run.id}`;
  // What was written here last is known here; only what another tab wrote has to be read.
  const isOwn = written.get(run.id) === keptText(key);
  const stored = isOwn ? null : readKept(key, pressedIn);
  const pressed = merged(kept, stored ?? kept);
  const { events, created, recorded, refused, setAside, took } = pressed;
  const isAboutKept =
    isNew || !isStored(run.id) ? keep(`${ABOUT}${run.id}`, { clubId, athleteId, begunHere, run }) : true;
  const keeps = keep(key, { events, created, recorded, refused, setAside, took }) && isAboutKept;
  written.set(run.id, keptText(key));
  runStore.setState({
    runs: new Map(runs).set(run.id, { clubId, athleteId, begunHere, run, ...pressed }),
    keeps,
  });
}

/** Whether what does not change of a run is on this device, where that could be kept. */
const isStored = (id: string) => keptKeys(ABOUT).includes(`${ABOUT}${id}`);

/** Frees this device of a run. */
export function drop(id: string): void {
  const runs = new Map(runStore.getState().runs);
  runs.delete(id);
  runStore.setState({ runs });
  forget(`${ABOUT}${id}`);
  forget(`${PRESSED}${id}`);
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
