import { MINUTE_SECONDS } from "@tonodrome/core";
import type { Forecast, Lane, StateAt } from "@tonodrome/core/forecast";
import { Text, View } from "react-native";
import { words } from "~/ui/words";

const LANES: readonly Lane[] = ["warmth", "sharpness", "tiredness"];

/** The words at the start, and if it comes early or late: what got worse stands out. */
export function LateTable({ forecast }: { forecast: Forecast }) {
  const rows: [string, StateAt][] = [
    ["on time", forecast.atStart],
    ...forecast.delays.map(({ delaySeconds, state }): [string, StateAt] => [
      `${delaySeconds < 0 ? "−" : "+"}${Math.abs(delaySeconds) / MINUTE_SECONDS} min`,
      state,
    ]),
  ];
  return (
    <View role="table" aria-label={words.ifItIsLate}>
      <View role="row" className="flex-row gap-2 py-1">
        <Text role="columnheader" className="w-16 shrink-0 font-strong text-small text-ink">
          start
        </Text>
        {["warmth", "sharpness", "tiredness"].map((title) => (
          <Text
            key={title}
            role="columnheader"
            className="min-w-0 flex-1 break-words font-strong text-small text-ink"
          >
            {title}
          </Text>
        ))}
      </View>
      {rows.map(([name, state]) => (
        <View key={name} role="row" className="flex-row gap-2 border-t border-line py-2">
          <Text role="rowheader" className="w-16 shrink-0 font-figures text-body text-ink">
            {name}
          </Text>
          {LANES.map((lane) => {
            const isWorse = state.words[lane].grade > forecast.atStart.words[lane].grade;
            return (
              <Text
                key={lane}
                role="cell"
                className={`min-w-0 flex-1 break-words text-body text-ink ${isWorse ? "font-strong" : "font-text"}`}
              >
                {state.words[lane].word}
              </Text>
            );
          })}
        </View>
      ))}
    </View>
  );
}
