import type { LadderDose } from "../../dose/ladder/ladderDose";
import type { Mend } from "../../plan/finding";
import { type SteepStep, steepSteps } from "../../plan/stepRule";
import { check } from "../terms/check";
import type { Situation } from "../terms/situation";

/** A rise to a drill of the sport's own or to priming, or between rungs, that is steeper than the plan allows. */
export const stepTooSteep = check({
  code: "step-too-steep",
  name: "Step too steep",
  severity: "warn",
  when: "A drill of the sport's own, a rung or priming is harder than what is before it by more than the plan's step.",
  rests: "The plan's own step; coaches' usual is 20 points, 15 for long and sharp warm-ups and for masters.",
  figures: {},
  find: ({ plan, ...situation }) => {
    const name = (id: string | null) => plan.items.find((i) => i.id === id)?.name ?? "";
    return steepSteps(plan.items, plan.stepPoints).map((step) => ({
      itemId: step.toId,
      words:
        step.fromId === step.toId
          ? `A step of this ladder rises by ${step.rise} points, more than the ${plan.stepPoints} this plan allows. It is left out from there on, or whole, until there is a rung between.`
          : step.fromId === null
            ? `Priming with nothing before it, ${step.rise} points above easy effort. It is left out until something leads up to it.`
            : `${step.rise} points up from ${name(step.fromId)}, more than the ${plan.stepPoints} this plan allows. One of the two is left out until there is a drill between them.`,
      mends: mendsOf({ plan, ...situation }, step),
    }));
  },
});

function mendsOf({ plan }: Pick<Situation, "plan">, { fromId, toId, rise }: SteepStep): Mend[] {
  const to = plan.items.find((i) => i.id === toId);
  if (!to) return [];
  const { dose } = to;
  if (fromId === toId) {
    if (dose.kind !== "ladder") return [];
    const between = { ...dose, rungs: withRungsBetween(dose, plan.stepPoints) };
    return [
      { words: "A rung between", edits: [{ kind: "change", itemId: toId, change: { dose: between } }] },
    ];
  }
  if (dose.kind === "ladder") return [];
  const intensity = to.intensity - rise + plan.stepPoints;
  return [
    { words: `Lower it to ${intensity} %`, edits: [{ kind: "change", itemId: toId, change: { intensity } }] },
  ];
}

/** The ladder with as many rungs between as the step asks for, each done as the lower of its neighbours. */
function withRungsBetween({ rungs }: LadderDose, points: number): LadderDose["rungs"] {
  return rungs.flatMap((rung, i) => {
    const before = rungs[i - 1];
    const rise = before ? rung.intensity - before.intensity : 0;
    if (!before || rise <= points) return [rung];
    const steps = Math.ceil(rise / points);
    const between = Array.from({ length: steps - 1 }, (_, k) => ({
      ...before,
      id: betweenId(rung.id, k),
      label: "",
      intensity: Math.round(before.intensity + (rise * (k + 1)) / steps),
    }));
    return [...between, rung];
  });
}

/** An id made from the rung above: the same mend makes the same plan. */
function betweenId(id: string, k: number): string {
  const digit = ((Number.parseInt(id.slice(0, 1), 16) + 1 + k) % 16).toString(16);
  return `${digit}${id.slice(1)}`;
}
