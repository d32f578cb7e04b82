import { formatMinus, spokenLength } from "../../time/clock";
import { listOf } from "../../words/listOf";
import type { TopUp } from "./topUp";

/** @example "3 min Easy laps at −8:00 and Opening pass at −5:00 bring it back." */
export function topUpLine({ steps, isBack }: Pick<TopUp, "steps" | "isBack">): string {
  const named = steps.map(
    ({ drill, fromSeconds, toSeconds }) =>
      `${spokenLength(toSeconds - fromSeconds)} of ${drill.name} at ${formatMinus(fromSeconds)}`,
  );
  const bring = steps.length === 1 ? "brings" : "bring";
  return `${listOf(named)} ${bring} ${isBack ? "it" : "some of it"} back.`;
}
