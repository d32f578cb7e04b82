import { type Coverage, coverageOf, type Fit } from "@tonodrome/core";
import type { ClubEvent } from "@tonodrome/core/api";
import { useRef } from "react";

interface Known {
  event: ClubEvent;
  items: readonly unknown[];
  coverage: Coverage;
}

/**
 * What the drills that fit touch of what the event asks for; null where no event says anything. While the same drills
 * fit it stays the same object, so that a slider which only shortens them draws nothing of it again.
 */
export function useCoverage(fit: Fit, event: ClubEvent | null): Coverage | null {
  const known = useRef<Known | null>(null);
  if (!event || event.actions.length + event.areas.length === 0) return null;
  const items = fit.placements.filter((p) => p.level !== null).map((p) => p.item);
  const before = known.current;
  if (
    before?.event === event &&
    before.items.length === items.length &&
    items.every((i, k) => i === before.items[k])
  )
    return before.coverage;
  const coverage = coverageOf(items, event);
  known.current = { event, items, coverage };
  return coverage;
}
