import type { PlanBody } from "@tonodrome/core";
import type { Athlete, ClubEvent, ShelfDrill, Start } from "@tonodrome/core/api";
import { type Approach, coldBandOf, type Filled, fillPlan, heatBandOf } from "@tonodrome/core/fill";
import { v4 as uuid } from "uuid";
import { circumstancesOf } from "~/data/resources/circumstances";

/** What a fill is made from. */
export interface FillFrom {
  start: Start;
  athlete: Athlete | undefined;
  event: ClubEvent | null;
  drills: readonly ShelfDrill[];
  availableSeconds: number;
}

/** What the coach chose of a fill. */
export interface FillChoice {
  approach: Approach;
  seed: number;
  /** Drills to keep, and drills to do without, where there are others. */
  keep?: readonly string[];
  avoid?: readonly string[];
}

/** Fills a warm-up for this start from the club's shelf. */
export function fillFor(from: FillFrom, { approach, seed, keep = [], avoid = [] }: FillChoice): Filled {
  const { start, athlete, event, drills, availableSeconds } = from;
  return fillPlan({
    approach,
    shelf: drills.filter((d) => !d.archived),
    event,
    day: circumstancesOf(start, athlete),
    weather: { heat: heatBandOf(start.setting), cold: coldBandOf(start.setting) },
    scale: athlete?.profile.scales.flatMap((s) => s.items) ?? [],
    availableSeconds,
    seed,
    keep,
    avoid,
    makeId: uuid,
  });
}

/** The shelf's drills that a plan has. */
export const drillIdsOf = (body: PlanBody): string[] =>
  body.items.flatMap((i) => (i.drillId ? [i.drillId] : []));

/** A seed that nobody chose. */
export const anySeed = (): number => Math.floor(Math.random() * 2_147_483_647);
