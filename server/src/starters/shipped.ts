import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { GENERAL_STARTER } from "@tonodrome/core/api";
import type { StarterShelf } from "@tonodrome/core/starter";
import { readStarter } from "./readStarter";

const known = new Map<string, StarterShelf[]>();

/**
 * The starter shelves in a folder, general preparation first. Read once, when they are first asked for.
 * @throws Error when one cannot be read: the tests keep that from happening to those that come with the server
 */
export function shippedStarters(folder: string): StarterShelf[] {
  const before = known.get(folder);
  if (before) return before;
  const shelves = readdirSync(folder)
    .filter((name) => name.endsWith(".json"))
    .map((name) => {
      const answer = readStarter(readFileSync(join(folder, name), "utf8"));
      if ("shelf" in answer) return answer.shelf;
      const [fault] = answer.faults;
      throw new Error(`${name}, line ${fault?.line}, ${fault?.path}: ${fault?.message}`);
    })
    .toSorted((a, b) => rank(a) - rank(b) || a.name.localeCompare(b.name));
  known.set(folder, shelves);
  return shelves;
}

const rank = ({ key }: StarterShelf) => (key === GENERAL_STARTER ? 0 : 1);
