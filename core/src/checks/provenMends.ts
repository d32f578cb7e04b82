import { fitPlan } from "../fit/fit";
import { editedPlan, editedSetting } from "../plan/edit/editedPlan";
import type { Finding, Mend } from "../plan/finding";
import { planBodySchema } from "../plan/plan";
import { contextOf, type DayFacts } from "../venue/contextOf";
import type { MakeId } from "../words/makeId";
import { isRight } from "../words/tolerant";
import { checkPlan } from "./checkPlan";
import type { ClubFigures } from "./terms/figures";
import { type Situation, situationOf } from "./terms/situation";

/** Most mends that are offered for one finding. */
const MOST_MENDS = 3;

/** What a day is made of, where a mend may change it; null where the day is only known as it was computed. */
export interface MendedDay {
  startsAt: string;
  facts: DayFacts;
}

/** What mends are tried with. */
export interface Trial {
  figures: ClubFigures;
  /** Gives ids to what is put in. */
  makeId: MakeId;
  day?: MendedDay | null;
}

/**
 * Findings with those of their mends that do what they promise, tried by fitting the mended plan: the finding goes, and no
 * stop comes that was not there.
 * @param found everything there is to say of the situation
 */
export function withProvenMends(situation: Situation, found: readonly Finding[], trial: Trial): Finding[] {
  const stops = new Set(found.filter((f) => f.severity === "stop").map(nameOf));
  const isProven = (finding: Finding, mend: Mend) => {
    const after = afterMend(situation, mend, trial);
    if (!after) return false;
    const isGone = !after.some((f) => nameOf(f) === nameOf(finding));
    return isGone && after.every((f) => f.severity !== "stop" || stops.has(nameOf(f)));
  };
  return found.map((finding) => ({
    ...finding,
    mends: finding.mends.filter((mend) => isProven(finding, mend)).slice(0, MOST_MENDS),
  }));
}

/** What there is to say when a mend is applied; null where it makes no plan that can be kept. */
function afterMend(situation: Situation, { edits }: Mend, { figures, makeId, day }: Trial): Finding[] | null {
  const plan = editedPlan(situation.plan, edits, makeId);
  if (!isRight(planBodySchema, plan)) return null;
  const isOfDay = edits.some((e) => e.kind === "setting");
  const setting = isOfDay ? editedSetting(situation.setting, edits) : situation.setting;
  const context =
    day && isOfDay ? contextOf({ startsAt: day.startsAt, setting, facts: day.facts }) : situation.context;
  const fit = fitPlan(plan, situation.fit.availableSeconds, context);
  // What would mend those in turn nobody asks.
  return checkPlan(situationOf({ ...situation, plan, setting, context, fit, shelf: [] }), figures);
}

/** One finding of a check and a drill is the same, whatever figures it names; of the plan as a whole, what it is about. */
function nameOf({ code, itemId, where, words }: Finding): string {
  return JSON.stringify([code, itemId, itemId === null ? [where, words.replace(/\d+/g, "")] : null]);
}
