import { makeListeners } from "~/data/listeners/listeners";
import { ALARMS } from "~/early/keptKeys";
import { forget, keep, readKept } from "./storage";

/*
 * Starts whose day calls on this device. Off until somebody presses it: a phone that rings in a hall unasked is worse than
 * one that does not.
 */

/** Most days that call at once: those of a long competition. Custom. */
const MOST = 40;

const NONE: readonly string[] = [];
const listeners = makeListeners();
let armed: readonly string[] | null = null;

/** The starts whose day calls here. */
export function armedStarts(): readonly string[] {
  armed ??= readKept(ALARMS, (kept) =>
    Array.isArray(kept) ? kept.filter((id): id is string => typeof id === "string").slice(-MOST) : null,
  );
  armed ??= NONE;
  return armed;
}

function set(ids: readonly string[]): void {
  armed = ids.slice(-MOST);
  if (armed.length > 0) keep(ALARMS, armed);
  else forget(ALARMS);
  listeners.tell();
}

/** Tells when that changes. @returns what ends it */
export const whenArmed = listeners.add;

/** Whether a start's day is to call here. */
export function arm(id: string, on: boolean): void {
  const others = armedStarts().filter((other) => other !== id);
  set(on ? [...others, id] : others);
}

/** Nothing calls here any more. */
export const forgetAlarms = (): void => set(NONE);
