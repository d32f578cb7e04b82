/** @jest-environment node */
import { type Approach, approachOf } from "../../src/approach/approaches";
import { noProfile } from "../../src/athlete/profile";
import { checkPlan } from "../../src/checks/checkPlan";
import { situationOf } from "../../src/checks/terms/situation";
import { usualSetting } from "../../src/conditions/setting";
import { fillPlan } from "../../src/fill/fillPlan";
import type { FillDrill, FillInput } from "../../src/fill/input/fillInput";
import { fitPlan } from "../../src/fit/fit";
import { idsFrom } from "../../src/maths/idsFrom";
import { random } from "../../src/maths/random";
import { drillContent, shelfOrigin } from "../../src/plan/drillContent";
import type { PlanBody, PlanItem } from "../../src/plan/plan";
import { openDay } from "../../src/venue/context";
import { sampleOf } from "../made/cases";
import { SPORTS, type Sport } from "./starters";

/*
 * Filling beside every plan that a small shelf allows: each choice of its drills, in the order of the parts and from easy to
 * hard, with an easy part of several lengths. Of those that keep what a coach never gives up, none has fewer warnings.
 */

const PHASES = ["raise", "mobilise", "kit", "technical", "prime"];
/** Lengths of the easy part that are tried, seconds. */
const EASY = [60, 120, 240, 480];

/** Seven drills or so of a starter: one easy, two that mobilise, its kit, three of the sport's own and a prime. */
function smallShelf({ shelf, own }: Sport, seed: number): FillDrill[] {
  const next = random(seed);
  const some = (of: readonly FillDrill[], phase: string, many: number, is = (_: FillDrill) => true) => {
    const left = of.filter((d) => d.phase === phase && d.dose.kind !== "ladder" && is(d));
    return Array.from({ length: Math.min(many, left.length) }, () =>
      left.splice(Math.floor(next() * left.length), 1),
    ).flat();
  };
  const general = shelf.filter((d) => !own.includes(d));
  const isMoving = (d: FillDrill) => !d.details?.flags.includes("static-hold");
  const isForBody = (d: FillDrill) => !d.details?.purposes.includes("mental");
  return [
    ...some(general, "raise", 1, (d) => d.dose.kind === "time" && d.intensity >= 20),
    ...some(general, "mobilise", 2, isMoving),
    ...own.filter((d) => d.phase === "kit" && d.priority === "essential").slice(0, 1),
    ...some(own, "technical", 3),
    ...some(own, "prime", 1, isForBody),
  ];
}

/** Every plan of it. @param as whose wait, step and limits are taken over */
function everyPlan(shelf: readonly FillDrill[], as: PlanBody): PlanBody[] {
  const inOrder = shelf.toSorted(
    (a, b) => PHASES.indexOf(a.phase) - PHASES.indexOf(b.phase) || a.intensity - b.intensity,
  );
  const always = (d: FillDrill) => d.phase === "kit" || d.phase === "raise";
  const choices = inOrder.filter((d) => !always(d));
  return Array.from({ length: 2 ** choices.length }, (_, mask) =>
    inOrder.filter((d) => always(d) || (mask & (2 ** choices.indexOf(d))) > 0),
  ).flatMap((chosen) =>
    EASY.map((seconds) => ({
      ...as,
      items: chosen.map((drill, i): PlanItem => {
        const { dose } = drill;
        return {
          id: `00000000-0000-4000-8000-${String(i).padStart(12, "0")}`,
          ...shelfOrigin(drill),
          ...drillContent(drill),
          priority: always(drill) ? "essential" : "useful",
          ...(drill.phase === "raise" && dose.kind === "time"
            ? { dose: { ...dose, seconds: { floor: 60, ideal: seconds, ceiling: seconds } } }
            : {}),
        };
      }),
    })),
  );
}

/** Warnings against a plan as it fits, and whether it keeps what is never given up. */
function seen(plan: PlanBody, input: FillInput): { warnings: string[]; isSound: boolean } {
  const { availableSeconds, context, setting, athlete, event, day } = input;
  const fit = fitPlan(plan, availableSeconds, context);
  const found = checkPlan(
    situationOf({
      ...{ plan, fit, context, setting, athlete, event, day },
      ...{ earlier: [], readySeconds: null, untilStart: null, shelf: [], culprit: fit.culprit },
    }),
  );
  const done = fit.placements.filter((p) => p.level);
  const moves = done.filter((p) => p.item.phase !== "kit");
  const seconds = (list: typeof done) => list.reduce((sum, p) => sum + p.spanSeconds, 0);
  const prepared = new Set(done.flatMap((p) => p.item.details?.actions.map((a) => a.toLowerCase()) ?? []));
  const onShelf = new Set(input.shelf.flatMap((d) => d.details?.actions.map((a) => a.toLowerCase()) ?? []));
  // A short form has some of the event's actions, not all; and only those that the shelf has can be missed.
  const missed = (event?.actions ?? [])
    .map((a) => a.toLowerCase())
    .filter((a) => availableSeconds >= 900 && onShelf.has(a) && !prepared.has(a));
  const own = moves.find((p) => p.item.phase === "technical");
  return {
    warnings: [
      ...found.filter((f) => f.severity !== "hint" && f.code !== "action-cold").map((f) => f.code),
      ...missed,
    ],
    isSound:
      seconds(moves.filter((p) => p.item.phase === "raise")) >= leastRaise(seconds(moves)) &&
      moves.some((p) => p.item.phase === "mobilise") &&
      own !== undefined &&
      own.item.intensity <= 50 &&
      seconds(moves.filter((p) => p.item.intensity <= 40)) >= 0.45 * seconds(moves) &&
      fit.waitOverSeconds === 0 &&
      fit.placements.every((p) => p.level !== null || p.item.phase !== "kit" || p.item.alreadyOn === true),
  };
}

/** Least seconds of easy movement in so many of movement: a minute, from six minutes on one and a half, from ten on two. */
const leastRaise = (all: number): number => (all < 360 ? 60 : all < 600 ? 90 : 120);

/** Every sport in a short form; two in a long one, which takes three times as long to try. */
const LONG = ["archery", "figure-skating"];
const CASES = SPORTS.flatMap((sport) => [
  [sport.key, 15, sport, approachOf("even-stair")] as const,
  ...(LONG.includes(sport.key) ? [[sport.key, 25, sport, approachOf("secure-finish")] as const] : []),
]);

it.each(sampleOf(CASES, 4))(
  "nothing on a small shelf of %s has fewer warnings in %i min",
  (_, minutes, sport, approach: Approach) => {
    const shelf = smallShelf(sport, minutes);
    const input: FillInput = {
      ...{
        approach,
        shelf,
        event: sport.event,
        setting: usualSetting(),
        day: "2026-11-27",
        context: openDay(),
      },
      ...{ figures: [], earlier: [], availableSeconds: minutes * 60, seed: 1, keep: [], avoid: [] },
      ...{ athlete: noProfile(), makeId: idsFrom("small") },
    };
    const { body } = fillPlan(input);
    const ours = seen(body, input);
    const sound = everyPlan(shelf, body)
      .map((plan) => seen(plan, input))
      .filter((s) => s.isSound);
    const fewest = sound.toSorted((a, b) => a.warnings.length - b.warnings.length)[0];
    if (!fewest) return;
    expect(ours.isSound).toBe(true);
    expect(ours.warnings.length > fewest.warnings.length ? ours.warnings : fewest.warnings).toEqual(
      fewest.warnings,
    );
  },
);
