import type { Situation } from "../../checks/terms/situation";
import type { Finding } from "../../plan/finding";
import { EASY_EFFORT } from "../../words/effort";
import { wordKey } from "../../words/sameWord";
import type { Frame } from "../assemble/frame";
import { longerRaise, type Parts } from "../assemble/parts";
import { type Choice, type Chosen, choiceSeconds } from "../choose/choice";
import { chooseKeepWarm } from "../choose/chooseKeepWarm";
import { mobiliseChoices } from "../choose/chooseMobilise";
import { choosePrime, forHead, mentalChoices } from "../choose/choosePrime";
import { raises } from "../choose/chooseRaise";
import { climbChoices } from "../choose/chooseTechnical";
import { onTheWay, prepares, raisesWarmth, warms as warmsWords } from "../choose/why";
import { withDose } from "../choose/withDose";
import { easyFor } from "../shape/dosed";
import type { JudgedFill } from "./judgedFill";
import { unpreparedOf } from "./unprepared";

/** The same drills at the same lengths have one name. */
export const nameOf = (parts: Parts) =>
  JSON.stringify(
    (["raise", "mobilise", "technical", "prime", "warm", "mental"] as const).map((part) =>
      parts[part].map((c) => [c.choice.whole.id, choiceSeconds(c.choice)]),
    ),
  );

/** Most candidates of one kind for one finding. */
const CANDIDATES = 4;

/** Other parts to try: first what answers the findings, gravest first, then what is left out, then swaps by chance. */
export function moves(
  frame: Frame,
  parts: Parts,
  { found, situation }: JudgedFill,
  chance: () => number,
): Parts[] {
  const list: Parts[] = [];
  for (const finding of found) list.push(...answersTo(frame, parts, finding, situation));
  // Also where the check is silent, because no drill says what it prepares.
  list.push(...withCold(frame, parts, situation));
  for (const { item, level } of situation.fit.placements)
    if (!level) list.push(...without(parts, item.drillId));
  list.push({ ...parts, raise: longerRaise(parts.raise, 60) }, ...adding(frame, parts, "raise", () => true));
  list.push(...byChance(frame, parts, chance));
  return list;
}

/** Ways of answering one finding. */
function answersTo(frame: Frame, parts: Parts, { code, itemId }: Finding, situation: Situation): Parts[] {
  const item = situation.plan.items.find((i) => i.id === itemId);
  const out = item ? without(parts, item.drillId) : [];
  const isForHead = parts.mental.some((c) => c.choice.whole.id === item?.drillId);
  const instead = isForHead ? otherHeads(frame, parts) : item ? swaps(frame, parts, item.drillId) : [];
  switch (code) {
    case "action-cold":
      return withCold(frame, parts, situation);
    case "area-cold": {
      const cold = unpreparedOf(situation, frame.stillWarm).areas.map((a) => a.what);
      const warms = (c: Choice) => c.details?.areas.some((a) => cold.includes(a)) ?? false;
      return [...adding(frame, parts, "mobilise", warms), ...adding(frame, parts, "technical", warms)];
    }
    case "nothing-for-the-head":
      return otherHeads(frame, parts);
    case "cold-at-the-start":
      return [...keptWarm(frame, parts, situation), ...warmer(frame, parts)];
    case "too-short":
    case "too-little-easy":
      return [60, 120, 30].map((more) => ({ ...parts, raise: longerRaise(parts.raise, more) }));
    case "never-at-level":
    case "stage-skipped":
      return [
        ...adding(frame, parts, "technical", (c) => c.to > frame.rules.hardFrom),
        ...priming(frame, parts),
        ...out,
      ];
    case "straight-to-hard":
    case "no-stair": {
      const actions = item?.details?.actions.map(wordKey) ?? [];
      const eases = (c: Choice) => c.to <= EASY_EFFORT && c.actions.some((a) => actions.includes(a));
      return [...adding(frame, parts, "technical", eases), ...out, ...instead];
    }
    default:
      // Something for the head is swapped sooner than left out.
      return isForHead ? [...instead, ...out] : [...out, ...instead];
  }
}

/** With something else for the head. */
function otherHeads({ choices, shape }: Frame, parts: Parts): Parts[] {
  return mentalChoices(choices, shape.wait.leastSeconds)
    .filter((c) => !parts.mental.some((m) => m.choice.whole.id === c.whole.id))
    .toSorted((a, b) => b.lean - a.lean)
    .slice(0, CANDIDATES)
    .map((choice) => ({ ...parts, mental: [forHead(choice)] }));
}

/** With something for an action of the event that is cold. */
function withCold(frame: Frame, parts: Parts, situation: Situation): Parts[] {
  const cold = unpreparedOf(situation, frame.stillWarm).actions.map((a) => wordKey(a.what));
  return adding(frame, parts, "technical", (c) => c.actions.some((a) => cold.includes(a)));
}

/** With easy movement in the wait, where that keeps warm. */
function keptWarm({ choices }: Frame, parts: Parts, situation: Situation): Parts[] {
  if (parts.warm.length > 0) return [];
  const warm = chooseKeepWarm(choices, parts.mental, situation);
  return warm.length > 0 ? [{ ...parts, warm }] : [];
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
    warm: parts.warm.filter(stays),
    mental: parts.mental.filter(stays),
  };
  return nameOf(left) === nameOf(parts) ? [] : [left];
}

type ChosenPart = "raise" | "mobilise" | "technical";

/** Drills that a part may have, as they would be done there. */
function poolOf({ input, choices, shape, rules, stillWarm }: Frame, part: ChosenPart, many = 1): Choice[] {
  if (part === "technical") return climbChoices(choices, { shape, rules, stillWarm });
  if (part === "mobilise") return mobiliseChoices(choices, { ...input, shape, rules });
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
    const old = parts[part].filter((c) => !c.choice.kept);
    const spared = [
      ...old.filter((c) => c.priority !== "essential").slice(-2),
      // What a climb begins with may be too far below all that the shelf has above it.
      ...(part === "technical" ? old.filter((c) => c.priority === "essential").slice(0, 1) : []),
    ];
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
function priming({ input, choices, shape, rules, stillWarm }: Frame, parts: Parts): Parts[] {
  const before = [
    ...parts.raise,
    ...parts.mobilise,
    ...parts.technical.toSorted((a, b) => a.choice.to - b.choice.to),
  ];
  const prime = choosePrime(choices, { event: input.event, shape, rules, stillWarm, before });
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

/** Why a drill was put in while seeking. */
function whyOf(choice: Choice, { input: { event }, shape }: Frame): string {
  if (choice.drill.phase === "raise") return raisesWarmth(choice);
  if (choice.drill.phase === "mobilise")
    return warmsWords((choice.details?.areas ?? []).filter((a) => event?.areas.includes(a)));
  const actions = (event?.actions ?? []).filter((a) => choice.actions.includes(wordKey(a)));
  return actions.length > 0 ? prepares(actions) : onTheWay(choice, shape.top);
}
