import { checkPlan } from "../checks/checkPlan";
import { type Situation, situationOf } from "../checks/terms/situation";
import { fitPlan } from "../fit/fit";
import { random } from "../maths/random";
import { sidesOf } from "../plan/coverage";
import type { Finding, Severity } from "../plan/finding";
import type { PlanBody } from "../plan/plan";
import { EASY_EFFORT } from "../words/effort";
import { wordKey } from "../words/sameWord";
import { type Choice, type Chosen, choiceSeconds } from "./choose/choice";
import { mobiliseChoices } from "./choose/chooseMobilise";
import { choosePrime } from "./choose/choosePrime";
import { raises } from "./choose/chooseRaise";
import { climbChoices } from "./choose/chooseTechnical";
import { withDose } from "./choose/withDose";
import { assembled, type Frame, longerRaise, type Parts } from "./construct";
import { easyFor } from "./shape/dosed";

/** What a finding weighs: strictly a stop before warnings, those before promises of the approach, those before hints. Custom. */
const WEIGHTS: Record<Severity, number> = { stop: 10_000, warn: 300, hint: 6 };
/** A promise of the approach that is not kept, and a drill of it that is left out. Custom. */
const PROMISE = 60;
const LEFT_OUT = 8;
/** A minute that is left unused up to the work that the approach has, and what the wait is over. Custom. */
const UNUSED_MINUTE = 3;

/** An action that a short form leaves cold: it has two or three of the sport's own, as coaches have it. Custom. */
const SHORT_FORM = 30;
/** A ladder cut once more. Custom. */
const A_PIECE = 3;
/** Never a first own action above half effort, per cent. */
const FIRST_MOST = 50;

/** A plan with how good it is. */
interface Judged {
  parts: Parts;
  body: PlanBody;
  cost: number;
  found: readonly Finding[];
  situation: Situation;
}

/**
 * The best plan found from a first one: what is found against it is mended by adding, taking out, swapping and re-dosing drills,
 * each time fitted and judged; what is not better is passed over. Deterministic for a seed.
 * @param tries plans that are fitted and judged in all
 */
export function improved(frame: Frame, first: Parts, tries: number): PlanBody {
  const chance = random(frame.input.seed);
  let best = judged(frame, first);
  let left = tries - 1;
  const tried = new Set([nameOf(first)]);
  while (left > 0) {
    const better = moves(frame, best, chance)
      .filter((parts) => !tried.has(nameOf(parts)))
      .slice(0, left);
    if (better.length === 0) break;
    let found: Judged | null = null;
    for (const parts of better) {
      tried.add(nameOf(parts));
      left--;
      const now = judged(frame, parts);
      if (now.cost < best.cost) {
        found = now;
        break;
      }
    }
    if (!found) break;
    best = found;
  }
  return best.body;
}

/** Fits and judges what some parts come to. */
function judged(frame: Frame, parts: Parts): Judged {
  const { input } = frame;
  const { athlete, event, setting, day, context, earlier, availableSeconds } = input;
  const body = assembled(frame, parts);
  const fit = fitPlan(body, availableSeconds, context);
  const situation = situationOf({
    ...{ plan: body, fit, context, setting, athlete, event, day, earlier },
    ...{ readySeconds: null, untilStart: null, shelf: [], culprit: fit.culprit },
  });
  const found = checkPlan(situation, input.figures);
  const isForm = (f: Finding) => frame.shape.isShort && f.code === "action-cold";
  const ofChecks = found.reduce((sum, f) => sum + (isForm(f) ? SHORT_FORM : WEIGHTS[f.severity]), 0);
  return { parts, body, found, situation, cost: ofChecks + brokenPromises(frame, situation) };
}

/** What the approach and the form of the time promise, and the plan does not keep. */
function brokenPromises({ input, shape, choices }: Frame, { doings, fit }: Situation): number {
  const work = doings.filter((d) => d.item.phase !== "kit" && d.item.calm !== "quiet");
  const seconds = (list: typeof work) => list.reduce((sum, d) => sum + d.toSeconds - d.fromSeconds, 0);
  const all = seconds(work);
  const raise = seconds(work.filter((d) => d.item.phase === "raise"));
  const easy = seconds(work.filter((d) => d.effort <= EASY_EFFORT));
  const unused = Math.max(0, shape.work - all) / 60;
  const leftOut = fit.placements.filter((p) => !p.level);
  const broken = [
    raise < Math.min(60, all),
    shape.raise > 0 && raise < 0.6 * shape.raise,
    !work.some((d) => d.item.phase === "mobilise"),
    new Set(work.filter((d) => d.item.phase === "mobilise").map((d) => d.item.id)).size < 2,
    !work.some((d) => sidesOf(d.item).includes("both")),
    // An approach that begins with a circuit begins with one, where the shelf has it and there is time.
    input.approach.sides.first === "circuit" &&
      !shape.isShort &&
      choices.some((c) => raises(c) && isCircuit(c)) &&
      !work.some((d) => d.item.phase === "raise" && d.item.dose.kind === "circuit"),
    easy < 0.45 * all,
    all > input.approach.minutes.most * 60,
    leftOut.some((p) => p.item.priority === "essential"),
    fit.waitOverSeconds > 0,
    (work.find((d) => d.item.phase === "technical")?.effort ?? 0) > FIRST_MOST,
    !shape.isShort && raise < Math.min(240, 0.12 * all),
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

const nameOf = (parts: Parts) =>
  JSON.stringify(
    (["raise", "mobilise", "technical", "prime", "mental"] as const).map((part) =>
      parts[part].map((c) => [c.choice.whole.id, choiceSeconds(c.choice)]),
    ),
  );

/** Most candidates of one kind for one finding. */
const CANDIDATES = 4;

/** Other parts to try: first what answers the findings, gravest first, then what is left out, then swaps by chance. */
function moves(frame: Frame, { parts, found, situation }: Judged, chance: () => number): Parts[] {
  const list: Parts[] = [];
  for (const finding of found) list.push(...answersTo(frame, parts, finding, situation));
  for (const { item, level } of situation.fit.placements)
    if (!level) list.push(...without(parts, item.drillId));
  list.push({ ...parts, raise: longerRaise(parts.raise, 60) }, ...adding(frame, parts, "raise", () => true));
  list.push(...byChance(frame, parts, chance));
  return list;
}

/** Ways of answering one finding. */
function answersTo(
  frame: Frame,
  parts: Parts,
  { code, itemId, words }: Finding,
  situation: Situation,
): Parts[] {
  const item = situation.plan.items.find((i) => i.id === itemId);
  const out = item ? without(parts, item.drillId) : [];
  const instead = item ? swaps(frame, parts, item.drillId) : [];
  switch (code) {
    case "action-cold": {
      const cold = (frame.input.event?.actions ?? []).filter((a) => words.includes(` ${a},`)).map(wordKey);
      const touches = (c: Choice) => c.actions.some((a) => cold.includes(a));
      return adding(frame, parts, "technical", touches);
    }
    case "area-cold": {
      const cold = (frame.input.event?.areas ?? []).filter((a) => words.includes(`the ${a},`));
      const warms = (c: Choice) => c.details?.areas.some((a) => cold.includes(a)) ?? false;
      return [...adding(frame, parts, "mobilise", warms), ...adding(frame, parts, "technical", warms)];
    }
    case "cold-at-the-start":
      return warmer(frame, parts);
    case "too-short":
    case "too-little-easy":
      return [60, 120, 30].map((more) => ({ ...parts, raise: longerRaise(parts.raise, more) }));
    case "never-at-level":
    case "stage-skipped":
      return [...adding(frame, parts, "technical", (c) => c.to > 60), ...priming(frame, parts)];
    case "straight-to-hard":
    case "no-stair": {
      const actions = item?.details?.actions.map(wordKey) ?? [];
      const eases = (c: Choice) => c.to <= EASY_EFFORT && c.actions.some((a) => actions.includes(a));
      return [...adding(frame, parts, "technical", eases), ...out, ...instead];
    }
    default:
      return [...out, ...instead];
  }
}

/** Warmer at the start: a brisker raise, still easy, and a longer one. */
function warmer(frame: Frame, parts: Parts): Parts[] {
  const now = Math.max(0, ...parts.raise.map((c) => c.choice.to));
  const brisker = poolOf(frame, "raise", parts.raise.length)
    .filter((c) => c.to > now && c.to <= EASY_EFFORT && choiceSeconds(c) >= 60)
    .toSorted((a, b) => b.to - a.to || b.lean - a.lean)
    .slice(0, CANDIDATES);
  const inPlace = brisker.flatMap((choice) =>
    parts.raise
      .filter((old) => !isCircuit(old.choice))
      .map((old) => ({
        ...parts,
        raise: parts.raise.map((c) => (c === old ? { ...c, choice, why: whyOf(choice, frame) } : c)),
      })),
  );
  return [...[240, 120, 60].map((more) => ({ ...parts, raise: longerRaise(parts.raise, more) })), ...inPlace];
}

const isCircuit = (c: Choice) => c.drill.dose.kind === "circuit";

/** Without a drill of the shelf, where there is one. */
function without(parts: Parts, drillId: string | null): Parts[] {
  if (!drillId || parts.raise.some((c) => c.choice.whole.id === drillId && parts.raise.length === 1))
    return [];
  const stays = (c: Chosen) => c.choice.whole.id !== drillId || c.choice.kept;
  const left: Parts = {
    raise: parts.raise.filter(stays),
    mobilise: parts.mobilise.filter(stays),
    technical: parts.technical.filter(stays),
    prime: parts.prime.filter(stays),
    mental: parts.mental.filter(stays),
  };
  return nameOf(left) === nameOf(parts) ? [] : [left];
}

type ChosenPart = "raise" | "mobilise" | "technical";

/** Drills that a part may have, as they would be done there. */
function poolOf({ input, choices, shape, age }: Frame, part: ChosenPart, many = 1): Choice[] {
  if (part === "technical") return climbChoices(choices, { shape, age });
  if (part === "mobilise") return mobiliseChoices(choices, { ...input, shape, age });
  return choices
    .filter(raises)
    .map((c) => withDose(c, easyFor(c.drill.dose, shape.raise / Math.max(1, many))));
}

/** With one of the drills that would do it, and, where the time is full, that in place of another. */
function adding(frame: Frame, parts: Parts, part: ChosenPart, does: (c: Choice) => boolean): Parts[] {
  const taken = new Set(parts[part].map((c) => c.choice.whole.id));
  const found = poolOf(frame, part)
    .filter((c) => !taken.has(c.whole.id) && does(c))
    .toSorted((a, b) => b.lean - a.lean - (choiceSeconds(b) - choiceSeconds(a)) / 15)
    .slice(0, CANDIDATES);
  return found.flatMap((choice) => {
    const more: Chosen = { choice, priority: "useful", why: whyOf(choice, frame) };
    const added: Parts = { ...parts, [part]: [...parts[part], more] };
    const spared = parts[part].filter((c) => !c.choice.kept && c.priority !== "essential").slice(-2);
    return [
      added,
      ...spared.map((s) => ({ ...parts, [part]: [...parts[part].filter((c) => c !== s), more] })),
    ];
  });
}

/** With other drills of the same part in the place of one. */
function swaps(frame: Frame, parts: Parts, drillId: string | null): Parts[] {
  for (const part of ["raise", "mobilise", "technical"] as const) {
    const old = parts[part].find((c) => c.choice.whole.id === drillId && !c.choice.kept);
    if (!old) continue;
    const taken = new Set(parts[part].map((c) => c.choice.whole.id));
    const near = (c: Choice) => Math.abs(c.to - old.choice.to) - c.lean;
    return poolOf(frame, part, parts.raise.length)
      .filter((c) => !taken.has(c.whole.id))
      .toSorted((a, b) => near(a) - near(b))
      .slice(0, CANDIDATES)
      .map((choice) => ({
        ...parts,
        [part]: parts[part].map((c) => (c === old ? { ...old, choice, why: whyOf(choice, frame) } : c)),
      }));
  }
  return [];
}

/** With priming chosen anew for what stands before it. */
function priming({ input, choices, shape, age }: Frame, parts: Parts): Parts[] {
  const before = [
    ...parts.raise,
    ...parts.mobilise,
    ...parts.technical.toSorted((a, b) => a.choice.to - b.choice.to),
  ];
  const prime = choosePrime(choices, { event: input.event, shape, age, before });
  return prime.length > 0 ? [{ ...parts, prime }] : [];
}

/** Swaps of drills that are not needed, as chance has it. */
function byChance(frame: Frame, parts: Parts, chance: () => number): Parts[] {
  const all = [...parts.mobilise, ...parts.technical].filter((c) => !c.choice.kept);
  if (all.length === 0) return priming(frame, parts);
  const one = all[Math.floor(chance() * all.length)] as Chosen;
  return [
    ...priming(frame, parts),
    ...swaps(frame, parts, one.choice.whole.id),
    ...without(parts, one.choice.whole.id),
  ];
}

function whyOf(choice: Choice, { input, shape }: Frame): string {
  const actions = (input.event?.actions ?? []).filter((a) => choice.actions.includes(wordKey(a)));
  if (choice.drill.phase === "raise")
    return `Raises warmth at ${choice.drill.intensity} %, slow enough to talk.`;
  if (choice.drill.phase === "mobilise") {
    const areas = (choice.details?.areas ?? []).filter((a) => input.event?.areas.includes(a));
    return areas.length > 0
      ? `Warms ${areas.join(", ")}, which the event uses.`
      : "Fills the time of this part with something of its purpose.";
  }
  if (actions.length > 0) return `Prepares ${actions.join(", ")}.`;
  return `At ${choice.to} %, on the way to ${shape.top} %.`;
}
