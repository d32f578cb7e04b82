import { sidesOf } from "../../plan/coverage";
import type { Severity } from "../../plan/finding";
import { EASY_EFFORT } from "../../words/effort";
import { wordKey } from "../../words/sameWord";
import type { Frame } from "../assemble/frame";
import { raises } from "../choose/chooseRaise";
import { FIRST_MOST } from "../choose/climbing";
import { LEAST_RAISE_SECONDS } from "../shape/dosed";
import { type JudgedFill, secondsDone } from "./judgedFill";
import { unpreparedOf } from "./unprepared";

/** What a finding weighs: strictly a stop before warnings, those before promises of the approach, those before hints. Custom. */
const WEIGHTS: Record<Severity, number> = { stop: 10_000, warn: 300, hint: 6 };
/** A promise of the approach that is not kept, and a drill of it that is left out. Custom. */
const PROMISE = 60;
const LEFT_OUT = 8;
/** A minute that is left unused up to the work that the approach has. Custom. */
const UNUSED_MINUTE = 3;

/** An action that a short form leaves cold: it has two or three of the sport's own, as coaches have it. Custom. */
const SHORT_FORM = 30;
/** A ladder cut once more. Custom. */
const A_PIECE = 3;
/** Promises: so much of the raise that the shape has; drills that mobilise; the easy share, a little below half; of a long form so much raise, or four minutes. Custom. */
const RAISE_KEPT = 0.6;
const LEAST_MOBILISE = 2;
const EASY_SHARE = 0.45;
const RAISE_SHARE = 0.12;
const RAISE_ENOUGH = 240;

/** The shortest wait that counts as one. Custom. */
const LEAST_WAIT_SECONDS = 60;

/** What of a plan no better plan may give up. */
export type Kept = ReadonlySet<"raise" | "mobilise" | "sides" | "own" | "essentials" | "length" | "wait">;

/**
 * Returns what a plan keeps: something raises, something mobilises, both sides are used, the sport's own is in it, nothing
 * essential is left out, it is no longer than the approach has it, and there is a wait.
 */
export function keptOf({ input }: Frame, { situation: { fit, plan }, work }: JudgedFill): Kept {
  const all = secondsDone(work);
  const raise = secondsDone(work.filter((d) => d.item.phase === "raise"));
  const isKept = [
    ["raise", raise >= Math.min(LEAST_RAISE_SECONDS, all)],
    ["mobilise", work.some((d) => d.item.phase === "mobilise")],
    ["sides", work.some((d) => sidesOf(d.item).includes("both"))],
    ["own", work.some((d) => d.item.phase === "technical")],
    ["essentials", fit.placements.every((p) => p.level || p.item.priority !== "essential")],
    ["length", all <= input.approach.minutes.most * 60],
    ["wait", fit.waitSeconds >= Math.min(LEAST_WAIT_SECONDS, plan.wait.leastSeconds)],
  ] as const;
  return new Set(isKept.flatMap(([what, is]) => (is ? [what] : [])));
}

/** What a filled plan costs: the findings against it, then promises that it does not keep. Less is better. */
export function costOf(frame: Frame, judged: JudgedFill, kept: Kept): number {
  const ofChecks = judged.found
    // Cold actions are counted by themselves: the check is silent where no drill says what it prepares.
    .filter((f) => f.code !== "action-cold")
    .reduce((sum, f) => sum + WEIGHTS[f.severity], 0);
  const cold = unpreparedActions(frame, judged) * (frame.shape.isShort ? SHORT_FORM : WEIGHTS.warn);
  return ofChecks + cold + brokenPromises(frame, judged, kept);
}

/** Actions of the event that the shelf could prepare and the plan does not. */
function unpreparedActions({ choices, stillWarm }: Frame, { situation }: JudgedFill): number {
  const known = new Set(choices.flatMap((c) => c.actions));
  return unpreparedOf(situation, stillWarm).actions.filter((a) => known.has(wordKey(a.what))).length;
}

/** What the approach and the form of the time promise, and the plan does not keep. */
function brokenPromises(
  { input, shape, choices }: Frame,
  { situation: { fit }, work }: JudgedFill,
  kept: Kept,
): number {
  const all = secondsDone(work);
  const raise = secondsDone(work.filter((d) => d.item.phase === "raise"));
  const easy = secondsDone(work.filter((d) => d.effort <= EASY_EFFORT));
  const mobilise = new Set(work.filter((d) => d.item.phase === "mobilise").map((d) => d.item.id));
  const unused = Math.max(0, shape.work - all) / 60;
  const leftOut = fit.placements.filter((p) => !p.level);
  const broken = [
    !kept.has("raise"),
    shape.raise > 0 && raise < RAISE_KEPT * shape.raise,
    !kept.has("mobilise"),
    mobilise.size < LEAST_MOBILISE,
    !kept.has("sides"),
    // An approach that begins with a circuit begins with one, where the shelf has it and there is time.
    input.approach.sides.first === "circuit" &&
      !shape.isShort &&
      choices.some((c) => raises(c) && c.drill.dose.kind === "circuit") &&
      !work.some((d) => d.item.phase === "raise" && d.item.dose.kind === "circuit"),
    easy < EASY_SHARE * all,
    !kept.has("length"),
    !kept.has("essentials"),
    fit.waitOverSeconds > 0,
    (work.find((d) => d.item.phase === "technical")?.effort ?? 0) > FIRST_MOST,
    !shape.isShort && raise < Math.min(RAISE_ENOUGH, RAISE_SHARE * all),
  ];
  // A ladder in pieces is harder to read.
  const ids = fit.placements.flatMap((p) => (p.level && p.item.drillId ? [p.item.drillId] : []));
  const pieces = ids.length - new Set(ids).size;
  return (
    broken.filter(Boolean).length * PROMISE +
    leftOut.filter((p) => p.item.priority !== "extra").length * LEFT_OUT +
    leftOut.length +
    pieces * A_PIECE +
    unused * UNUSED_MINUTE
  );
}
