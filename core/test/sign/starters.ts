import { readFileSync } from "node:fs";
import { basename, join } from "node:path";
import type { EventType } from "../../src/event/eventType";
import type { FillDrill } from "../../src/fill/input/fillInput";
import { detailsOf, type StarterShelf, starterShelfSchema } from "../../src/starter/starterShelf";

/** Tests and benches are begun in the project's folder, or in the core's. */
const ROOT = basename(process.cwd()) === "core" ? ".." : ".";
const FOLDER = join(ROOT, "server", "starters");

const read = (key: string): StarterShelf =>
  starterShelfSchema.parse(JSON.parse(readFileSync(join(FOLDER, `${key}.json`), "utf8")));

/** An id that is the same for the same name, in the shape of a UUID. */
function idFor(name: string): string {
  let hash = 2166136261;
  let hex = "";
  for (let k = 0; k < 4; k++) {
    for (const letter of `${k}${name}`) hash = Math.imul(hash ^ letter.charCodeAt(0), 16777619) >>> 0;
    hex += hash.toString(16).padStart(8, "0");
  }
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-4${hex.slice(13, 16)}-8${hex.slice(17, 20)}-${hex.slice(20, 32)}`;
}

const drillsOf = (shelf: StarterShelf): FillDrill[] =>
  shelf.drills.map(({ key, details: _, ...drill }, i) => ({
    id: idFor(`${shelf.key}/${key}`),
    ...drill,
    details: detailsOf(shelf.drills[i] as StarterShelf["drills"][number], (k) => idFor(`${shelf.key}/${k}`)),
  }));

/** A sport of those that are shipped: its shelf with the general one, and its event. */
export interface Sport {
  key: string;
  shelf: FillDrill[];
  own: FillDrill[];
  event: EventType;
}

/** General preparation alone, and the starters of sports. */
export const GENERAL = drillsOf(read("general-preparation"));

/** Every sport that ships with the server, with what its starter says of its first event. */
export const SPORTS: readonly Sport[] = [
  "archery",
  "fencing",
  "figure-skating",
  "springboard-diving",
  "trampoline",
  "artistic-gymnastics",
  "golf",
  "high-jump",
  "karate-forms",
  "table-tennis",
].map((key) => {
  const shelf = read(key);
  const own = drillsOf(shelf);
  return { key, own, shelf: [...GENERAL, ...own], event: shelf.events?.[0] as EventType };
});
