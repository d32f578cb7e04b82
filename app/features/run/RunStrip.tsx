import { formatLength, formatMinus, runClock } from "@tonodrome/core";
import { Link } from "expo-router";
import { Text, View } from "react-native";
import type { KeptRun } from "~/data/runs/keptRun";
import { stateOf } from "~/data/runs/stateOf";

/**
 * The runs under way on this device: a press goes to one, and each keeps its time. The one shown stays at the left edge, who
 * is next comes after it, and the others are reached by scrolling.
 */
export function RunStrip({ runs, here, now }: { runs: readonly KeptRun[]; here: string; now: number }) {
  if (runs.length < 2 && runs.every(({ run }) => run.id === here)) return null;
  const ordered = runs.toSorted((a, b) => Number(b.run.id === here) - Number(a.run.id === here));
  return (
    <View
      role="navigation"
      aria-label="Runs under way"
      className="flex-row overflow-x-auto border-b-2 border-line bg-paper"
    >
      {ordered.map((kept) => {
        const { run } = kept;
        const state = stateOf(kept);
        const clock = runClock(state, now);
        const drill = state.splits[state.index]?.drill;
        const isHere = run.id === here;
        const left =
          state.status === "under-way"
            ? formatLength(Math.max(0, clock.remaining))
            : formatMinus(-clock.untilStart);
        return (
          <Link
            key={run.id}
            href={`/run/${run.id}`}
            replace
            aria-current={isHere ? "page" : undefined}
            className={`flex min-h-run min-w-[120px] flex-1 flex-col justify-center px-3 py-1 ${isHere ? "sticky left-0 z-10 bg-press" : ""}`}
          >
            <Text
              className={`font-strong text-small ${isHere ? "text-on-press" : "text-ink"}`}
              numberOfLines={1}
            >
              {run.athleteName}
            </Text>
            <Text
              className={`font-figures text-body ${isHere ? "text-on-press" : "text-ink"}`}
              style={{ fontVariant: ["tabular-nums"] }}
              numberOfLines={1}
            >
              {left}{" "}
              {state.status === "under-way" ? drill?.name : state.status === "waiting" ? "wait" : "ready"}
            </Text>
          </Link>
        );
      })}
    </View>
  );
}
