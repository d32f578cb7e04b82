import type { Conditions, Fit } from "@tonodrome/core";
import type { DoneBefore, Training } from "@tonodrome/core/judge";
import { useMemo } from "react";
import { Text } from "react-native";
import { askInTurn } from "~/features/fit/askInTurn";
import { useLatestAnswer } from "~/features/fit/useLatestAnswer";
import { useSame } from "~/ui/hooks/useSame";

interface StateLineProps {
  fit: Fit;
  conditions: Conditions;
  /** Null where it is not known, or not to be known. */
  training?: Training | null;
  /** What is done earlier on the day. */
  before?: readonly DoneBefore[];
}

const NOTHING: readonly DoneBefore[] = [];

/** The state at the start in a line, for people in general; nothing while it is not known, or nothing is done. */
export function StateLine({ fit, conditions, training = null, before = NOTHING }: StateLineProps) {
  // A clock that only counts down changes nothing of what is done.
  const done = fit.placements.map((p) => `${p.item.id} ${p.levelIndex} ${p.beginSeconds}`).join();
  const shown = useSame(fit, done);
  const weather = useSame({ conditions, training }, JSON.stringify([conditions, training]));
  const ask = useMemo(
    () => ({ kind: "state" as const, fit: shown, ...weather, before }),
    [shown, weather, before],
  );
  const { answer } = useLatestAnswer(ask, askInTurn);
  if (!answer) return null;
  return (
    <Text className="font-text text-small text-ink" testID="state">
      At the start: {answer.replace(/ by the start$/, "")}
    </Text>
  );
}
