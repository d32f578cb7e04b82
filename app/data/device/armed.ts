import { createStore } from "zustand/vanilla";
import { ALARMS } from "~/early/keptKeys";
import { forget, keep, readKept } from "./storage";

/** Most days that call at once: those of a long competition. Custom. */
const MOST_ARMED = 40;

/**
 * The starts whose day calls on this device, by their ids. Off until somebody presses it: a phone that rings in a hall
 * unasked is worse than one that does not.
 */
export const armed = createStore<readonly string[]>(
  () =>
    readKept(ALARMS, (kept) =>
      Array.isArray(kept)
        ? kept.filter((id): id is string => typeof id === "string").slice(-MOST_ARMED)
        : null,
    ) ?? [],
);

function set(ids: readonly string[]): void {
  const kept = ids.slice(-MOST_ARMED);
  if (kept.length > 0) keep(ALARMS, kept);
  else forget(ALARMS);
  armed.setState(kept, true);
}

/** Sets whether a start's day calls here. */
export function arm(id: string, on: boolean): void {
  const others = armed.getState().filter((other) => other !== id);
  set(on ? [...others, id] : others);
}

/** Lets nothing call here any more. */
export const forgetAlarms = (): void => set([]);
