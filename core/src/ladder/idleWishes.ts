import { spokenLength } from "../time/clock";
import { generateLadder, type LadderAnswer } from "./generateLadder";
import { LADDER_SHAPES, type LadderWish } from "./ladderWish";

/** The wishes that are one number each, and by how much a press changes one. */
export const WISH_STEPS = {
  bottom: 5,
  top: 5,
  stepPoints: 5,
  easyReps: 1,
  reps: 1,
  taperPercent: 10,
  secondsEach: 1,
  hits: 1,
  chancePercent: 5,
} as const;

/** A wish that can be tried. */
export type TriedWish = keyof typeof WISH_STEPS;

/** Plenty of time, seconds: what then still changes nothing is not for want of it. */
const PLENTY = 7200;

/**
 * The wishes that change nothing of the ladder as it is, either way, each with the reason; and that there is more time than
 * anything asks for. Tried out, not guessed.
 */
export function idleWishes(wish: LadderWish): Partial<Record<TriedWish | "seconds", string>> {
  const idle: Partial<Record<TriedWish | "seconds", string>> = {};
  const now = generateLadder(wish, noId);
  if (!now.ok) return idle;
  for (const field of Object.keys(WISH_STEPS) as TriedWish[])
    if (!matters(wish, field)) idle[field] = why(wish, field);
  const most = generateLadder({ ...wish, seconds: PLENTY }, noId);
  if (most.ok && isSame(now, most))
    idle.seconds = `All that is wished for takes ${spokenLength(now.seconds)}: more time changes nothing.`;
  return idle;
}

const noId = () => "";
const isSame = (a: LadderAnswer, b: LadderAnswer) => JSON.stringify(a) === JSON.stringify(b);

/** Whether a little or a lot more or less of it would make another ladder, or none. */
function matters(wish: LadderWish, field: TriedWish): boolean {
  const now = generateLadder(wish, noId);
  return [-3, -1, 1, 3].some((times) => {
    const other = generateLadder({ ...wish, [field]: wish[field] + times * WISH_STEPS[field] }, noId);
    // What is refused because it is no such wish at all tells nothing.
    return other.ok ? !isSame(now, other) : false;
  });
}

function why(wish: LadderWish, field: TriedWish): string {
  if (matters({ ...wish, seconds: PLENTY }, field)) return "There is no time for it: give the ladder more.";
  const { name } = LADDER_SHAPES[wish.shape];
  const rich = { ...wish, seconds: PLENTY, bottom: 10, top: 90, reps: 10, easyReps: 0, taperPercent: 50 };
  return matters(rich, field)
    ? "As the other wishes stand it changes nothing."
    : `“${name}” does not go by it.`;
}
