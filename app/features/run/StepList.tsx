import { formatLength, type RunState } from "@tonodrome/core";
import { ScrollView, Text, View } from "react-native";
import { toneClasses } from "~/ui/tone";

const OUTCOMES = { done: "done", skipped: "skipped", "under-way": "now", pending: "" };

/** Every step of a run, for a screen with room: what was, what is, what comes. */
export function StepList({ state }: { state: RunState }) {
  return (
    <View className="w-[360px] border-l-2 border-line">
      <ScrollView tabIndex={0} aria-label="All steps">
        <View role="list" className="p-4">
          {state.splits.map((split, i) => (
            <View
              key={split.key}
              role="listitem"
              className={`flex-row items-center gap-2 py-2 ${i === state.index ? "border-l-4 border-signal pl-2" : "pl-3"}`}
            >
              <View
                className={`h-6 w-3 ${split.drill.wait ? "border border-dashed border-muted" : toneClasses(split.drill.intensity).fill}`}
              />
              <Text
                className={`flex-1 text-body text-ink ${i === state.index ? "font-strong" : "font-text"}`}
                numberOfLines={2}
              >
                {split.drill.name}
                {split.outcome === "pending" ? "" : `, ${OUTCOMES[split.outcome]}`}
              </Text>
              <Text className="font-figures text-body text-ink" style={{ fontVariant: ["tabular-nums"] }}>
                {formatLength(Math.round(split.realSeconds ?? split.plannedSeconds))}
              </Text>
            </View>
          ))}
        </View>
      </ScrollView>
    </View>
  );
}
