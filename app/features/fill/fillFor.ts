import type { PlanBody } from "@tonodrome/core";
import type { Athlete, ClubEvent, ShelfDrill, Start } from "@tonodrome/core/api";
import type { FillOrder } from "@tonodrome/core/fill";
import type { JudgeInput } from "@tonodrome/core/judge";

/** What a fill is made from. */
export interface FillFrom {
  start: Start;
  athlete: Athlete | undefined;
  event: ClubEvent | null;
  drills: readonly ShelfDrill[];
  availableSeconds: number;
  /** What plans of this start are judged by: filling goes by the same. */
  judgeInput: JudgeInput;
  /** Whether it is known what is done earlier on the day: until then nothing is filled. */
  isBeforeKnown: boolean;
}

/** What the coach says of the kit; null before. */
export type KitSaid = NonNullable<FillOrder["kit"]> | null;

/** What the coach chose of a fill. */
export interface FillChoice {
  approach: FillOrder["approach"];
  seed: number;
  /** Whether the kit is on already, where the coach has said. */
  kit?: KitSaid;
  /** Drills to keep, and drills to do without, where there are others. */
  keep?: readonly string[];
  avoid?: readonly string[];
}

/** What a worker is asked, whatever the approach: the club's shelf, the day, and whom it is for. */
export function orderFrom({ drills, availableSeconds, judgeInput }: FillFrom): Omit<FillOrder, "approach"> {
  const { event, athlete, setting, day, context, figures, earlier, before = [] } = judgeInput;
  return {
    shelf: drills.filter((d) => !d.archived),
    event,
    athlete,
    setting,
    day,
    context,
    figures,
    earlier,
    before,
    availableSeconds,
    seed: 0,
    keep: [],
    avoid: [],
  };
}

/** What is asked for one choice. */
export function orderFor(
  from: FillFrom,
  { approach, seed, kit = null, keep = [], avoid = [] }: FillChoice,
): FillOrder {
  return { ...orderFrom(from), approach, seed, kit, keep, avoid };
}

/** The shelf's drills that a plan has. */
export const drillIdsOf = (body: PlanBody): string[] => [
  ...new Set(body.items.flatMap((i) => (i.drillId ? [i.drillId] : []))),
];

/** A seed that nobody chose. */
export const anySeed = (): number => Math.floor(Math.random() * 2_147_483_647);
