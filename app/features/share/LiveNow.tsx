import { calledLine, formatLength, formatMinus, runClock, runState } from "@tonodrome/core";
import type { Shared } from "@tonodrome/core/api";
import { Text, View } from "react-native";

/** What the run is at, on the athlete's own phone. */
export function LiveNow({ run, now }: { run: NonNullable<Shared["run"]>; now: number }) {
  const state = runState(run.plan, run.events);
  const clock = runClock(state, now);
  const drill = state.splits[state.index]?.drill;
  const next = state.splits.find((s, i) => i > state.index && s.outcome === "pending")?.drill;
  const under = state.status === "under-way" && drill;
  const time = under
    ? clock.remaining < 0
      ? formatMinus(-clock.remaining)
      : formatLength(Math.ceil(clock.remaining))
    : formatMinus(-clock.untilStart);
  return (
    <View className="my-2 border-2 border-press p-3" role="group" aria-label="The run, live">
      <View className="flex-row items-baseline gap-3">
        <Text className="flex-1 font-strong text-title text-ink" numberOfLines={2}>
          {under ? drill.name : state.status === "ready" ? "About to begin" : "Wait for the start"}
        </Text>
        <Text className="font-figures text-figure text-ink" style={{ fontVariant: ["tabular-nums"] }}>
          {time}
        </Text>
      </View>
      {under && drill.focus ? <Text className="font-strong text-lead text-ink">{drill.focus}</Text> : null}
      {under && drill.called ? (
        <Text className="font-text text-body text-ink">Called: {calledLine(drill.called)}</Text>
      ) : null}
      <Text className="font-text text-body text-muted">
        {next ? `Next: ${next.name}, ${formatLength(next.plannedSeconds)}` : "Next: the start"}
      </Text>
    </View>
  );
}
