import type { Dose } from "../../dose/dose";
import { type Choice, choiceOf } from "./choice";

/** The same choice at another dose. */
export function withDose(choice: Choice, dose: Dose): Choice {
  return choiceOf({ ...choice.drill, dose }, choice.kept, choice.lean, choice.whole);
}
