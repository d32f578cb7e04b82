import type { Approach } from "../../approach/approaches";
import type { AthleteProfile } from "../../athlete/profile";
import type { ClubFigures } from "../../checks/terms/figures";
import type { EarlierRun } from "../../checks/terms/situation";
import type { Setting } from "../../conditions/setting";
import type { EventType } from "../../event/eventType";
import type { DrillContent } from "../../plan/drillContent";
import type { DoneBefore } from "../../rewarm/doneBefore";
import type { FitContext } from "../../venue/context";

/** A drill of the shelf. */
export type FillDrill = DrillContent & { id: string; version?: number | undefined };

/** Everything that filling chooses from and goes by. What is not known of the athlete, event or day is null. */
export interface FillInput {
  approach: Approach;
  /** The club's shelf, without what was taken off it. */
  shelf: readonly FillDrill[];
  event: Omit<EventType, "name"> | null;
  athlete: AthleteProfile | null;
  setting: Setting;
  /** The day at the venue, yyyy-mm-dd. */
  day: string | null;
  /** What the day allows: the plan is fitted to it while it is sought. */
  context: FitContext;
  /** Figures that the club has of its own. */
  figures: ClubFigures;
  /** The athlete's warm-ups before, the latest first. */
  earlier: readonly EarlierRun[];
  /** What was done earlier on the day, in the order of its beginning: after it a re-warm is enough. */
  before?: readonly DoneBefore[];
  /** Seconds between the earliest beginning and the start. */
  availableSeconds: number;
  /** Whether the kit is on already; null or left out where nobody has said: then it is where there is no time for it. */
  kit?: "on" | "to-do" | null;
  /** Decides between drills that serve as well as each other. */
  seed: number;
  /** Drills to keep where they can be used: those of last time. */
  keep: readonly string[];
  /** Drills to do without where there are others: those of the version before. */
  avoid: readonly string[];
  makeId: () => string;
}
