import type { ScaleItem } from "../../athlete/scale";
import { sportOf } from "../../plan/ofSport";
import { circumstancesOn } from "../../plan/usable";
import { formatLength } from "../../time/clock";
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
  rules: FillRules;
  scale: readonly ScaleItem[];
}

/** Looks at what there is: the drills that can be used, the kit, the shape of the time. */
export function frameOf(input: FillInput, gaps: string[]): Frame {
  const { approach, event, athlete, setting, day, availableSeconds } = input;
  const circumstances = circumstancesOn(setting, athlete, day);
  const rules = fillRules(circumstances.age, input.figures);
  const choices = usableChoices(
    { ...input, circumstances, rules, ofSport: sportOf(input.shelf, event) },
    gaps,
  );
  const kit = chooseKit(choices);
  const kitSeconds = kit.reduce((sum, c) => sum + choiceSeconds(c.choice), 0);
  const shape = shapeOf({ approach, event, setting, rules, availableSeconds, kitSeconds, kit: input.kit });
  gaps.push(...weatherWords(setting), ...kitWords(kit, shape, input));
  if (shape.work < approach.minutes.least * 60)
    gaps.push(
      `${approachName(approach.id)} wants ${approach.minutes.least} min of drills at least; this is its short form, ${formatLength(shape.work)}.`,
    );
  return { input, choices, kit, shape, rules, scale: athlete?.scales.flatMap((s) => s.items) ?? [] };
}

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
