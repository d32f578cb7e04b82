import { amount } from "./amount";
import type { Cases } from "./cases";
import { climb } from "./climb";
import { cover } from "./cover";
import { day } from "./day";
import { routine } from "./routine";
import { start } from "./start";
import { weather } from "./weather";
import { who } from "./who";

/** The cases of every check, by its code. */
export const CASES: Record<string, Cases> = {
  ...amount,
  ...climb,
  ...cover,
  ...day,
  ...routine,
  ...start,
  ...weather,
  ...who,
};
