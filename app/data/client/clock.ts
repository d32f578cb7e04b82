import { createStore } from "zustand/vanilla";
import { isRecord, keep, readKept } from "~/data/device/storage";
import { makeListeners } from "~/data/listeners/listeners";

/*
 * The time by the server's clock, as far as it is known. The device's clock may be minutes off, and may jump while the page is
 * open: a run must not.
 */

/** A clock that is off by less than this is not corrected, milliseconds: answers take a moment to come. Custom. */
const TOLERANCE = 5_000;
/** A corrected clock counts as right again below this, milliseconds: so that at the limit it does not go to and fro. Custom. */
const RIGHT_AGAIN = 4_000;
/** The correction changes when it is off by more than this, milliseconds. Custom. */
const NOTABLE = 400;
/** So many answers are gone by, the middle one of them; all anew when one is this far from them, milliseconds: the clock was set. */
const SAMPLES = 5;
const SET = 2_000;

/** Between two looks at the clock in sight of somebody it cannot really be this much later, milliseconds. */
const JUMP = 5_000;

/** An answer that took longer is ignored, milliseconds: the device may have slept meanwhile. */
const SLOW = 10_000;

/** After so long without an answer the time is asked for before anything is recorded, milliseconds. */
const FRESH = 60_000;

/** How long a page that is opened again uses the stored correction, milliseconds. */
const BELIEVED = 12 * 3_600_000;

const KEY = "clock-ahead";

const foundIn = (kept: unknown) =>
  isRecord(kept) && typeof kept.ahead === "number" && typeof kept.at === "number"
    ? { ahead: kept.ahead, at: kept.at }
    : null;

/** The correction stored before this page was opened: a run that goes on offline needs it. */
function aheadBefore(): number {
  const kept = readKept(KEY, foundIn);
  return kept && Math.abs(Date.now() - kept.at) < BELIEVED ? kept.ahead : 0;
}

interface Clock {
  /** How far the device's clock is ahead of the server's, milliseconds; 0 while it is right or unknown. */
  ahead: number;
}

/** What is known of the clock. */
export const clock = createStore<Clock>(() => ({ ahead: aheadBefore() }));
/** When the server was last heard; null before that. */
let heard: Asked | null = null;
/** When that was last compared, so that a jump after it is noticed. */
let looked = { wall: Date.now(), steady: performance.now() };

/** Told by how much later than thought it really is, milliseconds. */
const correctors = makeListeners<[by: number]>();

/**
 * Looks at the device's clock. While somebody looks at the page, time passes as a steady count says: a clock that says
 * otherwise was set. While nobody does, the device may have slept, and the clock is believed.
 */
function look(isSeen: boolean): void {
  const now = { wall: Date.now(), steady: performance.now() };
  const off = now.wall - looked.wall - (now.steady - looked.steady);
  looked = now;
  if (Math.abs(off) < JUMP || !isSeen) return;
  samples = samples.map((sample) => sample + off);
  clock.setState(({ ahead }) => ({ ahead: ahead + off }));
}

document.addEventListener("visibilitychange", () => look(false));

/** The time, milliseconds since the epoch. */
export function timeNow(): number {
  look(document.visibilityState === "visible");
  return Date.now() - clock.getState().ahead;
}

/** A moment by both counts, milliseconds. */
export interface Asked {
  wall: number;
  steady: number;
}

/** This moment, by both counts. */
export const askedNow = (): Asked => ({ wall: Date.now(), steady: performance.now() });

/** How long ago a moment was: by the count that says more, because one stands still in a sleep and one may be set. */
const since = ({ wall, steady }: Asked) => Math.max(Math.abs(Date.now() - wall), performance.now() - steady);

/** How far ahead the clock was by the last answers, milliseconds, the latest last. */
let samples: number[] = [];

const middleOf = (numbers: readonly number[]): number => {
  const sorted = [...numbers].sort((a, b) => a - b);
  return sorted[Math.floor(sorted.length / 2)] as number;
};

/** The server's time in an answer: milliseconds since the epoch, or a `Date` header. */
function serverTime(text: string | null): number {
  if (text !== null && /^\d{13}$/.test(text)) return Number(text);
  // A header of whole seconds is half a second early on average.
  return Date.parse(text ?? "") + 500;
}

/**
 * Learns from an answer what the time is at the server: by the middle of the last few, so that one slow answer says little.
 * @param said what the answer says, milliseconds since the epoch or a `Date` header
 * @param asked when it was asked
 */
export function hearServerTime(said: string | null, asked: Asked): void {
  const server = serverTime(said);
  const took = since(asked);
  if (Number.isNaN(server) || took > SLOW) return;
  heard = askedNow();
  // The answer took half the way.
  const found = Date.now() - (server + took / 2);
  if (samples.length > 0 && Math.abs(found - middleOf(samples)) > SET) samples = [];
  samples = [...samples, found].slice(-SAMPLES);
  const middle = middleOf(samples);
  const before = clock.getState().ahead;
  const isRight = Math.abs(middle) < (before === 0 ? TOLERANCE : RIGHT_AGAIN);
  const ahead = isRight ? 0 : Math.round(middle);
  if (ahead === before || (ahead !== 0 && before !== 0 && Math.abs(ahead - before) < NOTABLE)) return;
  clock.setState({ ahead });
  keep(KEY, { ahead, at: Date.now() });
  correctors.tell(before - ahead);
}

/** Whether the server has been heard so lately that the time is known. */
export const isTimeKnown = (): boolean => heard !== null && since(heard) < FRESH;

/**
 * Tells whenever the time turns out to be another than was thought.
 * @param correct given by how much later it is, milliseconds
 */
export function whenCorrected(correct: (by: number) => void): void {
  correctors.add(correct);
}

/** What is said of a clock that is wrong: it is corrected, and by how much. */
export function clockWords(aheadSeconds: number): string | null {
  if (aheadSeconds === 0) return null;
  const minutes = Math.abs(aheadSeconds) / 60;
  const amount = minutes < 2 ? `${Math.abs(aheadSeconds)} s` : `${Math.round(minutes)} min`;
  return `This device's clock is ${amount} ${aheadSeconds > 0 ? "fast" : "slow"}; the run is corrected for it.`;
}
