import { type Row, reps, timed } from "../../made/situations";

/** Drills that many cases are made of. */
export const jog = (seconds = 600): Row => [
  "Jog",
  "raise",
  40,
  timed(seconds),
  { details: { areas: ["hip", "knee"] } },
];
export const jump = (effort: number, amount = 10, more: Row[4] = {}): Row => [
  "Jump",
  "technical",
  effort,
  reps(amount),
  more,
];
export const prime = (effort: number, seconds = 20, more: Row[4] = {}): Row => [
  "Sprint",
  "prime",
  effort,
  timed(seconds),
  more,
];
export const jumps = { details: { actions: ["Jump"] } };
export const explosive = (amount: number, sets = 1): Row => [
  "Hops",
  "mobilise",
  60,
  reps(amount, sets),
  { details: { flags: ["explosive"] } },
];
