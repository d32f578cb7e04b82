import { type Fit, type FitProfile, fitAt } from "@tonodrome/core";
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
 * The time that can really be used: from being ready, or from now, whichever is later.
 * @param now milliseconds since the epoch
 */
export function availableFor({ startsAt, readyAt }: Start, now: number): number {
  const untilStart = Math.floor((Date.parse(startsAt) - now) / 1000);
  const planned = Math.floor((Date.parse(startsAt) - Date.parse(readyAt)) / 1000);
  return untilStart > 0 ? Math.min(planned, untilStart) : planned;
}

/**
 * How a start stands at a moment.
 * @param now milliseconds since the epoch
 * @param profile of its plan, for the time available then
 */
export function startView(start: Start, now: number, profile: FitProfile): StartView {
  const startsAt = Date.parse(start.startsAt);
  const untilStart = Math.floor((startsAt - now) / 1000);
  const availableSeconds = availableFor(start, now);
  const fit = fitAt(profile, availableSeconds);
  const { needs } = profile;
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
