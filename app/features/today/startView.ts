import { contextOf, type Fit, type FitProfile, fitAt, profileAt } from "@tonodrome/core";
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
  /** The last moments to begin, for everything at its ideal and for the essentials at their floors; null for none. */
  latest: { full: number | null; essentials: number | null };
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
  const { fit, needs } = reckoned(start, availableSeconds);
  const beginsAt = startsAt + fit.beginSeconds * 1000;
  return {
    fit,
    availableSeconds,
    untilStart,
    beginsAt,
    untilBegin: Math.floor((beginsAt - now) / 1000),
    latest: { full: latestFor(needs.full, startsAt), essentials: latestFor(needs.essentials, startsAt) },
  };
}

/** The last moment to begin what needs so many seconds; null when there is nothing to begin, or it never fits. */
function latestFor(seconds: number, startsAt: number): number | null {
  return seconds > 0 && Number.isFinite(seconds) ? startsAt - seconds * 1000 : null;
}

interface Reckoned {
  availableSeconds: number;
  fit: Fit;
  needs: FitProfile["needs"];
}

const known = new WeakMap<Start, Reckoned>();

/** A card is drawn every second; what it shows is reckoned only when the start or the time available is another. */
function reckoned(start: Start, availableSeconds: number): Reckoned {
  const before = known.get(start);
  if (before?.availableSeconds === availableSeconds) return before;
  const profile = profileAt(start.plan.body, contextOf(start), availableSeconds);
  const now = { availableSeconds, fit: fitAt(profile, availableSeconds), needs: profile.needs };
  known.set(start, now);
  return now;
}

/** The one word for a state, everywhere the same. */
export const STATE_WORDS: Record<Fit["state"], string> = {
  fits: "fits",
  tight: "tight",
  short: "does not fit",
};
