import type { Start } from "@tonodrome/core/api";
import type { Glance } from "@tonodrome/core/judge";

/** A start as it stands at a moment. */
export interface StartView {
  /** Seconds that can really be used: from being ready, or from now, whichever is later. */
  availableSeconds: number;
  untilStart: number;
  /** Null while it is not known. */
  glance: Glance | null;
  /** When the first drill begins, milliseconds since the epoch; the start itself for an empty plan, or while it is not known. */
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
 * @param glance at its plan, for the time available then
 */
export function startView(start: Start, now: number, glance: Glance | null): StartView {
  const startsAt = Date.parse(start.startsAt);
  const before = (seconds: number | null | undefined) => (seconds ? startsAt - seconds * 1000 : null);
  const beginsAt = startsAt + (glance?.beginSeconds ?? 0) * 1000;
  return {
    availableSeconds: availableFor(start, now),
    untilStart: Math.floor((startsAt - now) / 1000),
    glance,
    beginsAt,
    untilBegin: Math.floor((beginsAt - now) / 1000),
    latest: { full: before(glance?.needs.full), essentials: before(glance?.needs.essentials) },
  };
}

/** The moments that a start's card counts to or from, milliseconds since the epoch. */
export const momentsOf = ({ startsAt }: Start, { beginsAt, latest }: StartView): number[] =>
  [Date.parse(startsAt), beginsAt, latest.full, latest.essentials].filter((at) => at !== null);
