import { useSyncExternalStore } from "react";

/*
 * The time, as the server has it as far as that is known. The device's clock may be minutes wrong, and may jump while the
 * page is open: a run must not.
 */

/** A server's date is in whole seconds and takes a moment to come: less than this is not a wrong clock, milliseconds. */
const TOLERANCE = 5_000;

/** Between two looks at the clock in sight of somebody it cannot really be this much later, milliseconds. */
const JUMP = 5_000;

/** How far the device's clock is ahead of the server's, milliseconds; 0 while it is right or not known to be wrong. */
let ahead = 0;
/** When that was last compared, so that a jump after it is noticed. */
let looked = { wall: Date.now(), steady: performance.now() };
/** Milliseconds by which the device's clock was found to have jumped since the page was opened. */
let jumped = 0;

const listeners = new Set<() => void>();

function set(nextAhead: number, nextJumped: number): void {
  if (nextAhead === ahead && nextJumped === jumped) return;
  ahead = nextAhead;
  jumped = nextJumped;
  for (const tell of listeners) tell();
}

/**
 * Looks at the device's clock. While somebody looks at the page, time passes as a steady count says: a clock that says
 * otherwise was set. While nobody does, the device may have slept, and the clock is believed.
 */
function look(isSeen: boolean): void {
  const now = { wall: Date.now(), steady: performance.now() };
  const off = now.wall - looked.wall - (now.steady - looked.steady);
  looked = now;
  if (Math.abs(off) < JUMP || !isSeen) return;
  set(ahead + off, jumped + off);
}

document.addEventListener("visibilitychange", () => look(false));

/** The time, milliseconds since the epoch. */
export function timeNow(): number {
  look(document.visibilityState === "visible");
  return Date.now() - ahead;
}

/**
 * Learns from an answer what the time is at the server.
 * @param date the answer's `Date` header
 * @param asked `performance.now()` when it was asked
 */
export function hearServerTime(date: string | null, asked: number): void {
  const server = Date.parse(date ?? "");
  if (Number.isNaN(server)) return;
  // A header of whole seconds is half a second early on average; the answer took half the way.
  const then = server + 500 + (performance.now() - asked) / 2;
  const found = Date.now() - then;
  set(Math.abs(found) < TOLERANCE ? 0 : Math.round(found), 0);
}

function subscribe(tell: () => void): () => void {
  listeners.add(tell);
  return () => listeners.delete(tell);
}

/** Seconds that the device's clock is ahead of the server's (negative: behind); 0 while it is right. */
export function useClockAhead(): number {
  return useSyncExternalStore(subscribe, () => Math.round(ahead / 1000));
}

/** What is said of a clock that is wrong: it is corrected, and by how much. */
export function clockWords(aheadSeconds: number): string | null {
  if (aheadSeconds === 0) return null;
  const minutes = Math.abs(aheadSeconds) / 60;
  const amount = minutes < 2 ? `${Math.abs(aheadSeconds)} s` : `${Math.round(minutes)} min`;
  return `This device's clock is ${amount} ${aheadSeconds > 0 ? "fast" : "slow"}; the run is corrected for it.`;
}
