import type { Start } from "@tonodrome/core/api";
import { Listeners } from "~/data/client/listeners";
import { forget, keep, keptKeys, keptText, readKept } from "~/data/device/storage";
import { aboutSchema, isUnderWay, type KeptRun, merged, pressedSchema } from "./keptRun";

/*
 * Runs as this device has them, in memory and kept. What changes with a press is kept apart from what does not, so that a
 * press writes little.
 */

const ABOUT = "run:";
const PRESSED = "run-presses:";

const runs = new Map<string, KeptRun>();
/** What this tab wrote last of each run. */
const written = new Map<string, string | null>();
/** Whether this device could keep the last thing it was given to keep. */
let keeps = true;

/** Whoever is to be told when a run changes. */
export const runListeners = new Listeners();

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

load();
window.addEventListener("storage", (event) => {
  if (!event.key?.startsWith(ABOUT) && !event.key?.startsWith(PRESSED)) return;
  load();
  runListeners.tell();
});

/** A run kept on this device; null when it is not here. */
export function get(id: string): KeptRun | null {
  return runs.get(id) ?? null;
}

/** Keeps what is known of a run. What another tab has pressed in the meantime stays with it: nothing is written over. */
export function put(kept: KeptRun): void {
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
  runListeners.tell();
}

/** Whether what does not change of a run is on this device, where that could be kept. */
const isStored = (id: string) => keptKeys(ABOUT).includes(`${ABOUT}${id}`);

/** Frees this device of a run. */
export function drop(id: string): void {
  runs.delete(id);
  forget(`${ABOUT}${id}`);
  forget(`${PRESSED}${id}`);
}

/** Every run that is here. */
export const everyRun = (): readonly KeptRun[] => [...runs.values()];

/** Whether this device can keep what is pressed; a store that is full or forbidden cannot. */
export const canKeep = (): boolean => keeps;

let open: readonly KeptRun[] = [];

/** Runs under way on this device, the next start first. */
export function openRuns(): readonly KeptRun[] {
  const now = everyRun()
    .filter(isUnderWay)
    .sort((a, b) => Date.parse(a.run.startsAt) - Date.parse(b.run.startsAt));
  // The same list as long as nothing changes, as whoever subscribes expects.
  if (now.length !== open.length || now.some((run, i) => run !== open[i])) open = now;
  return open;
}

/** The run under way for a start on this device, to go back to: of the athlete whose start it is, and of no earlier one. */
export function openRunOf({ id, athlete }: Pick<Start, "id" | "athlete">): string | null {
  const own = openRuns().find(
    ({ run, athleteId }) => run.startId === id && (athleteId ?? athlete.id) === athlete.id,
  );
  return own?.run.id ?? null;
}
