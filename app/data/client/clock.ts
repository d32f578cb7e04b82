import { createStore, useStore } from "zustand";
import { isRecord, keep, readKept } from "~/data/device/storage";

/*
 * The time, as the server has it as far as that is known. The device's clock may be minutes wrong, and may jump while the
 * page is open: a run must not.
 */

/** A server's date is in whole seconds and takes a moment to come: less than this is not a wrong clock, milliseconds. */
const TOLERANCE = 5_000;

/** Between two looks at the clock in sight of somebody it cannot really be this much later, milliseconds. */
const JUMP = 5_000;

/** An answer that took longer says nothing of the time: the device may have slept over it, milliseconds. */
const SLOW = 10_000;

/** After so long without an answer the time is asked for before anything is recorded by it, milliseconds. */
const FRESH = 60_000;

/** So long a page that is opened again believes what was found out before, milliseconds. */
const BELIEVED = 12 * 3_600_000;

const KEY = "clock-ahead";

const foundIn = (kept: unknown) =>
  isRecord(kept) && typeof kept.ahead === "number" && typeof kept.at === "number"
    ? { ahead: kept.ahead, at: kept.at }
    : null;

/** What was found out before this page was opened: a run that is gone on with offline has to be gone on with by it. */
function aheadBefore(): number {
  const kept = readKept(KEY, foundIn);
  return kept && Math.abs(Date.now() - kept.at) < BELIEVED ? kept.ahead : 0;
}

interface Clock {
  /** How far the device's clock is ahead of the server's, milliseconds; 0 while it is right or not known to be wrong. */
  ahead: number;
}

const clock = createStore<Clock>(() => ({ ahead: aheadBefore() }));
/** When the server was last heard; null before that. */
let heard: Asked | null = null;
/** When that was last compared, so that a jump after it is noticed. */
let looked = { wall: Date.now(), steady: performance.now() };

/** Told by how much later than thought it really is, milliseconds. */
const correctors = new Set<(by: number) => void>();

/**
 * Looks at the device's clock. While somebody looks at the page, time passes as a steady count says: a clock that says
 * otherwise was set. While nobody does, the device may have slept, and the clock is believed.
 */
function look(isSeen: boolean): void {
  const now = { wall: Date.now(), steady: performance.now() };
  const off = now.wall - looked.wall - (now.steady - looked.steady);
  looked = now;
  if (Math.abs(off) < JUMP || !isSeen) return;
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

/**
 * Learns from an answer what the time is at the server.
 * @param date the answer's `Date` header
 * @param asked when it was asked
 */
export function hearServerTime(date: string | null, asked: Asked): void {
  const server = Date.parse(date ?? "");
  const took = since(asked);
  if (Number.isNaN(server) || took > SLOW) return;
  heard = askedNow();
  // A header of whole seconds is half a second early on average; the answer took half the way.
  const found = Date.now() - (server + 500 + took / 2);
  const before = clock.getState().ahead;
  const ahead = Math.abs(found) < TOLERANCE ? 0 : Math.round(found);
  clock.setState({ ahead });
  if (ahead === before) return;
  keep(KEY, { ahead, at: Date.now() });
  for (const correct of correctors) correct(before - ahead);
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

/** Seconds that the device's clock is ahead of the server's (negative: behind); 0 while it is right. */
export function useClockAhead(): number {
  return useStore(clock, ({ ahead }) => Math.round(ahead / 1000));
}

/** What is said of a clock that is wrong: it is corrected, and by how much. */
export function clockWords(aheadSeconds: number): string | null {
  if (aheadSeconds === 0) return null;
  const minutes = Math.abs(aheadSeconds) / 60;
  const amount = minutes < 2 ? `${Math.abs(aheadSeconds)} s` : `${Math.round(minutes)} min`;
  return `This device's clock is ${amount} ${aheadSeconds > 0 ? "fast" : "slow"}; the run is corrected for it.`;
}
