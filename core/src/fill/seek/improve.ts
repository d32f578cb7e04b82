import { random } from "../../maths/random";
import type { PlanBody } from "../../plan/plan";
import { assembled } from "../assemble/assemble";
import type { Frame } from "../assemble/frame";
import type { Parts } from "../assemble/parts";
import { costOf, type Kept, keptOf } from "./cost";
import { type JudgedFill, judgedFill } from "./judgedFill";
import { moves, nameOf } from "./moves";

/** What costs less has nothing said against it and keeps every promise: no better is sought. Custom. */
const GOOD_ENOUGH = 6;

/** Drills in all the plans that are tried, at most: long plans take longer to fit, so fewer are tried. Custom. */
const DRILLS_TRIED = 480;

/** A plan that was tried, with how good it is. */
interface Tried {
  parts: Parts;
  body: PlanBody;
  judged: JudgedFill;
  cost: number;
  /** What of it no better plan may give up. */
  kept: Kept;
}

/**
 * The best plan found from a first one: what is found against it is mended by adding, taking out, swapping and re-dosing drills,
 * each time fitted and judged; what is not better (`isBetter`) is passed over. Deterministic for a seed.
 * @param tries plans that are fitted and judged, at most
 */
export function improved(frame: Frame, first: Parts, tries: number): PlanBody {
  const chance = random(frame.input.seed);
  let best = tried(frame, first);
  let left = tries - 1;
  let drillsLeft = DRILLS_TRIED;
  const known = new Set([nameOf(first)]);
  const isSpent = () => left <= 0 || drillsLeft <= 0;
  while (!isSpent() && best.cost >= GOOD_ENOUGH) {
    let found: Tried | null = null;
    for (const parts of moves(frame, best.parts, best.judged, chance)) {
      const name = nameOf(parts);
      if (known.has(name)) continue;
      if (isSpent()) break;
      known.add(name);
      const now = tried(frame, parts);
      left--;
      drillsLeft -= now.body.items.length;
      if (isBetter(now, best)) {
        found = now;
        break;
      }
    }
    if (!found) break;
    best = found;
  }
  return best.body;
}

/** Puts parts together, fits and judges what they come to. */
function tried(frame: Frame, parts: Parts): Tried {
  const body = assembled(frame, parts);
  const judged = judgedFill(body, frame.input);
  const kept = keptOf(frame, judged);
  return { parts, body, judged, kept, cost: costOf(frame, judged, kept) };
}

/** Returns whether a plan takes the place of another: it costs less, and gives up nothing that is kept unless a stop goes with it. */
function isBetter(now: Tried, than: Tried): boolean {
  if (now.cost >= than.cost) return false;
  return stopsOf(now) < stopsOf(than) || [...than.kept].every((what) => now.kept.has(what));
}

const stopsOf = ({ judged }: Tried) => judged.found.filter((f) => f.severity === "stop").length;
