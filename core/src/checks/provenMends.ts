import { fitPlan } from "../fit/fit";
import { editedPlan, editedSetting } from "../plan/edit/editedPlan";
import type { Finding, Mend } from "../plan/finding";
import { planBodySchema } from "../plan/plan";
import { contextOf, type DayFacts } from "../venue/contextOf";
import { checkPlan } from "./checkPlan";
import type { ClubFigures } from "./clubFigures";
import { type Situation, situationOf } from "./terms/situation";

/** Most mends that are offered for one finding. */
const MOST_MENDS = 3;

/** What a day is made of, where a mend may change it; null where the day is only known as it was reckoned. */
export interface MendedDay {
  startsAt: string;
  facts: DayFacts;
}

/**
 * Those mends of a finding that do what they promise, tried by fitting the mended plan: the finding goes, and no stop comes
 * that was not there.
 * @param makeId gives ids to what is put in
 */
export function provenMends(
  situation: Situation,
  finding: Finding,
  figures: ClubFigures,
  makeId: () => string,
  day: MendedDay | null = null,
): Mend[] {
  const before = checkPlan(situation, figures);
  const stops = new Set(before.filter((f) => f.severity === "stop").map(nameOf));
  return finding.mends
    .filter((mend) => {
      const after = afterMend(situation, mend, figures, makeId, day);
      if (!after) return false;
      const isGone = !after.some((f) => nameOf(f) === nameOf(finding));
      return isGone && after.every((f) => f.severity !== "stop" || stops.has(nameOf(f)));
    })
    .slice(0, MOST_MENDS);
}

/** What there is to say when a mend is applied; null where it makes no plan that can be kept. */
function afterMend(
  situation: Situation,
  { edits }: Mend,
  figures: ClubFigures,
  makeId: () => string,
  day: MendedDay | null,
): Finding[] | null {
  const plan = editedPlan(situation.plan, edits, makeId);
  if (!planBodySchema.safeParse(plan).success) return null;
  const setting = editedSetting(situation.setting, edits);
  const context =
    day && setting !== situation.setting
      ? contextOf({ startsAt: day.startsAt, setting, facts: day.facts })
      : situation.context;
  const fit = fitPlan(plan, situation.fit.availableSeconds, context);
  return checkPlan(situationOf({ ...situation, plan, setting, context, fit }), figures);
}

/** One finding of a check and a drill is the same, whatever figures it names; of the plan as a whole, what it is about. */
function nameOf({ code, itemId, where, words }: Finding): string {
  return JSON.stringify([code, itemId, itemId === null ? [where, words.replace(/\d+/g, "")] : null]);
}
