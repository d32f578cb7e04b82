import { type Fit, fitPlan } from "@tonodrome/core";
import type { Start } from "@tonodrome/core/api";

/** A start as it stands at a moment. */
export interface StartView {
  fit: Fit;
  /** Seconds that can really be used: from being ready, or from now, whichever is later. */
  availableSeconds: number;
  untilStart: number;
  /** When the first drill begins, milliseconds since the epoch; the start itself for an empty plan. */
  beginsAt: number;
  /** Seconds until then; negative when it should be under way. */
  untilBegin: number;
}

/**
 * Fits a start's plan to what is left of its time.
 * @param now milliseconds since the epoch
 */
export function startView(start: Start, now: number): StartView {
  const startsAt = Date.parse(start.startsAt);
  const untilStart = Math.floor((startsAt - now) / 1000);
  const planned = Math.floor((startsAt - Date.parse(start.readyAt)) / 1000);
  const availableSeconds = untilStart > 0 ? Math.min(planned, untilStart) : planned;
  const fit = fitPlan(start.plan.body, availableSeconds);
  const beginsAt = startsAt + fit.beginSeconds * 1000;
  return { fit, availableSeconds, untilStart, beginsAt, untilBegin: Math.floor((beginsAt - now) / 1000) };
}

/** The one word for a state, everywhere the same. */
export const STATE_WORDS: Record<Fit["state"], string> = {
  fits: "fits",
  tight: "tight",
  short: "does not fit",
};
