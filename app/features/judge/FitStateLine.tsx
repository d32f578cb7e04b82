import type { Conditions, Fit } from "@tonodrome/core";
import type { DoneBefore } from "@tonodrome/core/judge";
import { useMemo } from "react";
import { askInTurn } from "~/features/fit/askInTurn";
import { useLatestAnswer } from "~/features/fit/useLatestAnswer";
import { useSame } from "~/ui/hooks/useSame";
import { StateLine } from "./StateLine";

const NOTHING: readonly DoneBefore[] = [];

/** The state at the start that a fit leads to; nothing while it is not known, or nothing is done. */
export function FitStateLine({ fit, conditions }: { fit: Fit; conditions: Conditions }) {
  // A clock that only counts down changes nothing of what is done.
  const done = fit.placements.map((p) => `${p.item.id} ${p.levelIndex} ${p.beginSeconds}`).join();
  const shown = useSame(fit, done);
  const weather = useSame(conditions, JSON.stringify(conditions));
  const ask = useMemo(
    () => ({
      ...{ kind: "state" as const, fit: shown, conditions: weather },
      ...{ training: null, before: NOTHING },
    }),
    [shown, weather],
  );
  const { answer } = useLatestAnswer(ask, askInTurn);
  return answer ? <StateLine line={answer} /> : null;
}
