import type { ScaleItem } from "../../athlete/scale";
import type { ColdBand } from "../../conditions/cold";
import type { HeatBand } from "../../conditions/heat";
import type { EventType } from "../../event/eventType";
import type { DrillContent } from "../../plan/drillContent";
import type { Approach } from "./approaches";
import type { Circumstances } from "./usable";

/** A drill of the shelf. */
export type FillDrill = DrillContent & { id: string };

/** Everything that filling chooses from and goes by. */
export interface FillInput {
  approach: Approach;
  /** The club's shelf, without what was taken off it. */
  shelf: readonly FillDrill[];
  event: Pick<EventType, "actions" | "areas" | "targetLevel"> | null;
  day: Circumstances;
  /** How hot or cold it is; not known where it is left out. */
  weather?: { heat: HeatBand; cold: ColdBand } | undefined;
  /** The athlete's scales, easiest first in each: what is least sure is needed most. */
  scale: readonly ScaleItem[];
  /** Seconds between the earliest beginning and the start. */
  availableSeconds: number;
  /** Decides between drills that serve as well as each other. */
  seed: number;
  /** Drills to keep where they can be used: those of last time. */
  keep: readonly string[];
  /** Drills to do without where there are others: those of the version before. */
  avoid: readonly string[];
  makeId: () => string;
}
