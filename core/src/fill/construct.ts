import type { ScaleItem } from "../athlete/scale";
import { coldBandOf } from "../conditions/cold";
import { heatBandOf } from "../conditions/heat";
import { doseAt } from "../dose/doseAt";
import { idealLevel } from "../dose/levelsOf";
import { noDetails } from "../drill/details";
import { drillContent, shelfOrigin } from "../plan/drillContent";
import { emptyPlan, MOST_DRILLS, type PlanBody, type PlanItem } from "../plan/plan";
import { circumstancesOn } from "../plan/usable";
import { formatLength } from "../time/clock";
import { approachName } from "../words/approachId";
import { cutText } from "../words/cutText";
import { wordKey } from "../words/sameWord";
import { LONGEST_NOTE } from "../words/text";
import { affordable } from "./affordable";
import { type Choice, type Chosen, choiceSeconds, usableChoices } from "./choose/choice";
import { chooseKit, needsKit } from "./choose/chooseKit";
import { chooseMobilise, inMobiliseOrder } from "./choose/chooseMobilise";
import { chooseMental, choosePrime } from "./choose/choosePrime";
import { chooseRaise } from "./choose/chooseRaise";
import { chooseTechnical, inApproachOrder } from "./choose/chooseTechnical";
import { withDose } from "./choose/withDose";
import { type AgeRules, ageRules } from "./input/ageRules";
import type { FillInput } from "./input/fillInput";
import { sportOf } from "./input/sport";
import { easyFor } from "./shape/dosed";
import { type Shape, shapeOf } from "./shape/shape";

/** What filling has settled before it chooses: what there is to choose from, and the shape of the time. */
export interface Frame {
  input: FillInput;
  choices: Choice[];
  kit: Chosen[];
  shape: Shape;
  age: AgeRules;
  scale: readonly ScaleItem[];
}

/** What is chosen for each part of a warm-up, in no order yet. */
export interface Parts {
  raise: readonly Chosen[];
  mobilise: readonly Chosen[];
  technical: readonly Chosen[];
  prime: readonly Chosen[];
  mental: readonly Chosen[];
}

/** Looks at what there is: the drills that can be used, the kit, the shape of the time. */
export function frameOf(input: FillInput, gaps: string[]): Frame {
  const { approach, event, athlete, setting, day, availableSeconds } = input;
  const circumstances = circumstancesOn(setting, athlete, day);
  const age = ageRules(circumstances.age, input.figures);
  const choices = usableChoices({ ...input, circumstances, age, ofSport: sportOf(input.shelf, event) }, gaps);
  const kit = chooseKit(choices);
  const kitSeconds = kit.reduce((sum, c) => sum + choiceSeconds(c.choice), 0);
  const shape = shapeOf({ approach, event, setting, age, availableSeconds, kitSeconds });
  gaps.push(...weatherWords(input), ...kitWords(kit, shape, availableSeconds));
  if (shape.work < approach.minutes.least * 60)
    gaps.push(
      `${approachName(approach.id)} wants ${approach.minutes.least} min of drills at least; this is its short form, ${formatLength(shape.work)}.`,
    );
  return { input, choices, kit, shape, age, scale: athlete?.scales.flatMap((s) => s.items) ?? [] };
}

/** Chooses for each part in turn: a first plan, which is then improved. */
export function firstParts(frame: Frame, gaps: string[]): Parts {
  const { input, choices, shape, age, scale } = frame;
  const { approach, event } = input;
  const raise = chooseRaise(choices, approach, shape);
  if (raise.length === 0) gaps.push("The shelf has nothing easy that raises warmth.");
  const technical = chooseTechnical(choices, { approach, event, shape, age, scale }, gaps);
  const mobilise = chooseMobilise(choices, { approach, event, shape, age, raise, technical });
  const prime = choosePrime(choices, { event, shape, age, before: [...raise, ...mobilise, ...technical] });
  const mental = chooseMental(choices, shape.wait.leastSeconds);
  return withLeftover({ raise, mobilise, technical, prime, mental }, shape);
}

/** Most of the work that the raise grows to when the other parts leave time, and the longest it then is, seconds. Custom. */
const RAISE_SHARE = 0.4;
const RAISE_LONGEST = 600;

/** Time that the other parts leave goes to easy movement: it gives most for nothing. */
function withLeftover(parts: Parts, shape: Shape): Parts {
  const { raise, mobilise, technical, prime } = parts;
  const used = [...raise, ...mobilise, ...technical, ...prime].reduce(
    (sum, c) => sum + choiceSeconds(c.choice),
    0,
  );
  const now = raise.reduce((sum, c) => sum + choiceSeconds(c.choice), 0);
  const most = Math.min(RAISE_LONGEST, Math.max(RAISE_SHARE * shape.work, shape.raise));
  const more = Math.min(shape.work - used, most - now);
  return more < 15 ? parts : { ...parts, raise: longerRaise(raise, more) };
}

/** The raise with so many seconds more (or, below 0, less) on its longest drill of a length of time. */
export function longerRaise(raise: readonly Chosen[], wanted: number): Chosen[] {
  const now = raise.reduce((sum, c) => sum + choiceSeconds(c.choice), 0);
  const seconds = Math.min(wanted, Math.max(0, RAISE_LONGEST - now));
  const longest = raise
    .filter((c) => c.choice.drill.dose.kind === "time")
    .toSorted((a, b) => choiceSeconds(b.choice) - choiceSeconds(a.choice))[0];
  return raise.map((c) => {
    if (c !== longest) return c;
    return {
      ...c,
      choice: withDose(c.choice, easyFor(c.choice.drill.dose, choiceSeconds(c.choice) + seconds)),
    };
  });
}

/** Puts parts together: order, priorities, rests between hard efforts, kit where it belongs, the wait and the limits. */
export function assembled({ input, kit, shape, age, scale }: Frame, parts: Parts): PlanBody {
  const { approach, event } = input;
  const [withKit, before] = parted(inMobiliseOrder(parts.mobilise), (c) => needsKit(c.choice, kit));
  const shelter = shelterOn(input);
  const sheltered = (item: PlanItem): PlanItem =>
    shelter && !shelter.isKnown(item.place) ? { ...item, place: shelter.name } : item;
  const items = (list: readonly Chosen[], more: Partial<PlanItem> = {}) =>
    list.map((c) => ({ ...itemOf(c, input), ...more }));
  const ordered = [
    ...items(parts.raise).map(sheltered),
    ...items(before).map(sheltered),
    ...items(kit, shape.kitOn ? { alreadyOn: true } : {}),
    ...items(withKit),
    ...withBreathers([
      ...items(inApproachOrder(parts.technical, { approach, event, shape, scale })),
      ...items(parts.prime.toSorted((a, b) => a.choice.from - b.choice.from)),
    ]),
    ...items(parts.mental, { calm: "quiet" }),
    ...weatherItems(input),
  ].slice(0, MOST_DRILLS);
  const body: PlanBody = {
    ...emptyPlan(),
    items: ordered,
    wait: {
      ...shape.wait,
      ...(approach.sides.wait === "rest-out" && !shape.isShort ? { times: RESTED_OUT } : {}),
    },
    stepPoints: shape.step,
    limits: limitsOf(age),
    origin: { approach: approach.id, seed: input.seed },
  };
  return affordable(body, input.availableSeconds);
}

/** Where general work is done when the weather is against it: indoors in the cold, shaded or indoors in heat; null where nothing is known to be. */
function shelterOn({
  setting,
  context,
}: FillInput): { name: string; isKnown: (place: string) => boolean } | null {
  const heat = heatBandOf(setting);
  const isHot = heat === "hot" || heat === "very-hot";
  if (!isHot && coldBandOf(setting) === "none") return null;
  const place = setting.places?.find((p) => p.cover === "indoors" || (isHot && p.cover === "shade"));
  const known = new Set(context.places.map((p) => wordKey(p.name)));
  return place ? { name: place.name, isKnown: (name) => known.has(wordKey(name)) } : null;
}

/** Two efforts from here on do not follow each other without a rest of so long, per cent and seconds: as the check has it. */
const HARD = 80;
const BREATH = 60;

/** Rests between hard efforts that follow each other. */
function withBreathers(items: PlanItem[]): PlanItem[] {
  return items.map((item, i) => {
    const next = items[i + 1];
    const isHard = item.intensity >= HARD && next !== undefined && next.intensity >= HARD;
    return isHard && !item.restAfter ? { ...item, restAfter: { kind: "seconds", seconds: BREATH } } : item;
  });
}

/** An approach that rests out rests five times the hard work before the start: coaches' rule (custom). */
const RESTED_OUT = 5;

/** What a filled plan may not pass, whatever is done to its time. */
function limitsOf({ explosive }: AgeRules): NonNullable<PlanBody["limits"]> {
  return { explosiveReps: explosive };
}

function parted(list: readonly Chosen[], is: (c: Chosen) => boolean): [yes: Chosen[], no: Chosen[]] {
  return [list.filter(is), list.filter((c) => !is(c))];
}

/** A chosen drill as the plan has it: what it grows to is its ideal, because spare time means to begin later. */
export function itemOf({ choice, priority, why }: Chosen, { makeId }: Pick<FillInput, "makeId">): PlanItem {
  const content = drillContent(choice.drill);
  return {
    id: makeId(),
    ...shelfOrigin(choice.drill),
    ...content,
    priority,
    dose: doseAt(content.dose, idealLevel(content.dose)),
    why: cutText(why, LONGEST_NOTE),
  };
}

/** What the weather changes, in sentences. */
function weatherWords({ setting }: Pick<FillInput, "setting">): string[] {
  if (coldBandOf(setting) !== "none")
    return ["Cold outdoors: the raise is half as long again. Begin it indoors, in layers."];
  const heat = heatBandOf(setting);
  if (heat === "hot" || heat === "very-hot")
    return ["Hot: the raise is halved and there is no second priming. Keep to the shade, and drink."];
  return [];
}

/** Things to do in the wait that the weather asks for: they are of no shelf. */
function weatherItems({ setting, makeId }: FillInput): PlanItem[] {
  const heat = heatBandOf(setting);
  if (heat === "hot" || heat === "very-hot")
    return [
      calmItem(
        makeId(),
        "Shade, drink and cool",
        60,
        "prime",
        "Hot: cooler in the wait is fresher at the start.",
      ),
    ];
  if (setting.layers === true && coldBandOf(setting) !== "none")
    return [
      calmItem(
        makeId(),
        "Warm layers off",
        60,
        "kit",
        "Layers stay on in the wait: so long before the start they come off.",
      ),
    ];
  return [];
}

function calmItem(
  id: string,
  name: string,
  seconds: number,
  phase: PlanItem["phase"],
  why: string,
): PlanItem {
  return {
    id,
    drillId: null,
    name,
    phase,
    priority: "useful",
    intensity: 0,
    focus: "",
    place: "",
    calm: "quiet",
    why,
    dose: {
      kind: "time",
      seconds: { floor: Math.min(30, seconds), ideal: seconds, ceiling: seconds },
      step: 30,
      sides: "one",
      changeoverSeconds: 0,
    },
    details: {
      ...noDetails(),
      purposes: phase === "kit" ? ["kit"] : ["mental"],
      flags: phase === "kit" ? ["no-condition"] : [],
    },
  };
}

function kitWords(kit: readonly Chosen[], { kitOn }: Shape, availableSeconds: number): string[] {
  if (!kitOn) return [];
  const names = kit.map((k) => k.choice.drill.name).join(", ");
  return [
    `${names}: no time for it in ${formatLength(availableSeconds)}, so it stands as done already. If it is not, say so there, or begin earlier.`,
  ];
}
