import type { ScaleItem } from "../../athlete/scale";
import { rewarmOn } from "../../checks/amount/moreThanRewarm";
import { stillWarmFrom } from "../../checks/climb/straightToHard";
import { sportOf } from "../../plan/ofSport";
import { circumstancesOn } from "../../plan/usable";
import type { Rewarm } from "../../rewarm/rewarm";
import { formatLength, roundLength } from "../../time/clock";
import { approachName } from "../../words/approachId";
import { type Choice, type Chosen, choiceSeconds, usableChoices } from "../choose/choice";
import { chooseKit } from "../choose/chooseKit";
import type { FillInput } from "../input/fillInput";
import { type FillRules, fillRules } from "../input/rules";
import { type Shape, shapeOf } from "../shape/shape";
import { weatherWords } from "./weather";

/** What filling has settled before it chooses: what there is to choose from, and the shape of the time. */
export interface Frame {
  input: FillInput;
  choices: Choice[];
  kit: Chosen[];
  shape: Shape;
  /** After another start on the same day: how much is enough. */
  rewarm: Rewarm | null;
  /** Keys of actions that were done on the day so short a time ago that they are still prepared. */
  stillWarm: ReadonlySet<string>;
  rules: FillRules;
  scale: readonly ScaleItem[];
}

/** Looks at what there is: the drills that can be used, the kit, the shape of the time. */
export function frameOf(input: FillInput, gaps: string[]): Frame {
  const { approach, event, athlete, setting, day, availableSeconds, figures, before = [] } = input;
  const circumstances = circumstancesOn(setting, athlete, day);
  const rules = fillRules(circumstances.age, figures);
  const choices = usableChoices(
    { ...input, circumstances, rules, ofSport: sportOf(input.shelf, event) },
    gaps,
  );
  const kit = chooseKit(choices);
  const kitSeconds = kit.reduce((sum, c) => sum + choiceSeconds(c.choice), 0);
  const rewarm = rewarmOn(before, figures);
  const stillWarm = stillWarmFrom(before, figures);
  const shape = shapeOf({
    ...{ approach, event, setting, rules, availableSeconds, kitSeconds, rewarm },
    kit: input.kit,
  });
  if (rewarm) gaps.push(rewarmWords(rewarm, shape.work));
  gaps.push(...weatherWords(setting), ...kitWords(kit, shape, input));
  if (!rewarm && shape.work < approach.minutes.least * 60)
    gaps.push(
      `${approachName(approach.id)} wants ${approach.minutes.least} min of drills at least; this is its short form, ${formatLength(shape.work)}.`,
    );
  return {
    input,
    choices,
    kit,
    shape,
    rewarm,
    stillWarm,
    rules,
    scale: athlete?.scales.flatMap((s) => s.items) ?? [],
  };
}

/** What is said of a warm-up after another start. */
const rewarmWords = ({ after, restSeconds }: Rewarm, work: number): string =>
  `A re-warm, because ${after} ends ${roundLength(restSeconds)} before this start: ${roundLength(work)} of drills at the most, and ladders begin higher where an action is still fresh.`;

/** What is said of kit that has no time of its own. */
function kitWords(
  kit: readonly Chosen[],
  { kitOn }: Shape,
  { availableSeconds, kit: said }: FillInput,
): string[] {
  if (!kitOn) return [];
  const names = kit.map((k) => k.choice.drill.name).join(", ");
  return said === "on"
    ? [`${names}: on already, as you said, so it takes no time.`]
    : [
        `${names}: no time for it in ${formatLength(availableSeconds)}, so it stands as done already. If it is not, say so there, or begin earlier.`,
      ];
}
