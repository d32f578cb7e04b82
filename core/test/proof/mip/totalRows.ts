import type { PlanBody, PlanItem } from "../../../src/plan/plan";
import type { FitContext } from "../../../src/venue/context";
import type { Stretch } from "../play/playDose";
import { actions, each, easy, isFlagged, isWork, type Line, seconds, sum } from "./terms";

/** What may not pass a limit in all. */
export function totalRows(plan: PlanBody, day: FitContext, lines: readonly Line[]): string[] {
  const { volumePercent, explosiveReps, easyPercent } = plan.limits ?? {};
  const total = (is: (i: PlanItem) => boolean, of: (level: readonly Stretch[]) => number) =>
    sum(lines.filter((x) => is(x.item)).flatMap((x) => each(x, of)));
  const rows: string[] = [];
  if (volumePercent !== undefined && day.usualReps > 0) {
    const most = Math.max(0, Math.floor((volumePercent * day.usualReps) / 100) - (day.spent?.volume ?? 0));
    rows.push(`${total((i) => i.phase === "technical" || i.phase === "prime", actions)} <= ${most}`);
  }
  if (explosiveReps !== undefined)
    rows.push(
      `${total((i) => isFlagged(i, "explosive"), actions)} <= ${Math.max(0, explosiveReps - (day.spent?.explosive ?? 0))}`,
    );
  if (easyPercent !== undefined)
    rows.push(`${total(isWork, (l) => easyPercent * seconds(l) - 100 * easy(l))} <= 0`);
  return rows;
}
