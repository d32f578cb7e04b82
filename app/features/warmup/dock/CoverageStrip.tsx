import type { Coverage } from "@tonodrome/core";
import { memo } from "react";
import { Pressable, Text, View } from "react-native";

const askedOf = ({ actions, areas, sides }: Coverage) => [...actions, ...areas, ...sides];

/** One mark for each thing the event asks for, full where the warm-up covers it, and how many it covers. */
export const CoverageStrip = memo(function CoverageStrip({
  coverage,
  onPress,
}: {
  coverage: Coverage;
  onPress: () => void;
}) {
  const asked = askedOf(coverage);
  return (
    <Pressable
      role="button"
      aria-haspopup="dialog"
      onPress={onPress}
      className="min-h-press justify-center gap-1"
      testID="coverage"
    >
      <View className="h-3 flex-row gap-[2px]" aria-hidden>
        {asked.map((one) => (
          <View
            key={one.what}
            className={`flex-1 ${one.by.length > 0 ? "bg-tone-6" : "border-2 border-muted"}`}
          />
        ))}
      </View>
      <Text className="font-text text-small text-ink underline" numberOfLines={1}>
        {asked.filter((one) => one.by.length > 0).length} of {asked.length} that the event uses are covered
      </Text>
    </Pressable>
  );
});

/** The same in full: which drills cover each. */
export function CoverageList({ coverage }: { coverage: Coverage }) {
  return (
    <View className="gap-4">
      {(
        [
          ["Actions", coverage.actions],
          ["Parts of the body", coverage.areas],
          ["Sides", coverage.sides],
        ] as const
      ).map(([title, list]) =>
        list.length === 0 ? null : (
          <View key={title}>
            <Text role="heading" aria-level={3} className="font-strong text-body text-ink">
              {title}
            </Text>
            <View role="list" aria-label={title}>
              {list.map(({ what, by }) => (
                <View key={what} role="listitem" className="flex-row gap-3 border-t border-line py-2">
                  <View
                    aria-hidden
                    className={`mt-1 h-4 w-4 ${by.length > 0 ? "bg-tone-6" : "border-2 border-muted"}`}
                  />
                  <Text className="w-28 font-strong text-body text-ink">{what}</Text>
                  <Text
                    className={`flex-1 text-body ${by.length > 0 ? "font-text text-muted" : "font-strong text-ink"}`}
                  >
                    {by.length > 0 ? by.join(", ") : "left cold"}
                  </Text>
                </View>
              ))}
            </View>
          </View>
        ),
      )}
    </View>
  );
}
