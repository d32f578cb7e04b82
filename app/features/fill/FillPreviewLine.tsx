import { formatLength } from "@tonodrome/core";
import type { FillPreview } from "@tonodrome/core/fill";
import { Text, View } from "react-native";

/** How high the rise of a preview is drawn, pixels. */
const HEIGHT = 40;

/** What an approach would give: its rise, how long it is, how it begins, and what there is to look at. */
export function FillPreviewLine({ preview }: { preview: FillPreview }) {
  const { first, drills, seconds, rise, stops, warnings } = preview;
  const found = stops + warnings;
  const look =
    found === 0 ? "nothing to warn of" : `${found} to look at${stops > 0 ? `, ${stops} grave` : ""}`;
  return (
    <View className="gap-1">
      <View className="flex-row items-end" style={{ height: HEIGHT }} aria-hidden>
        {rise.map(({ effort, seconds: long }, i) => (
          <View
            // biome-ignore lint/suspicious/noArrayIndexKey: steps of a drawing have no names.
            key={i}
            className="border-r border-paper bg-ink"
            style={{ flexGrow: Math.max(1, long), height: Math.max(2, (HEIGHT * effort) / 100) }}
          />
        ))}
      </View>
      <Text className="font-text text-small text-ink">
        {`${drills} ${drills === 1 ? "drill" : "drills"}, ${formatLength(seconds)} min of movement, ${look}. Begins with ${first.join(", ")}.`}
      </Text>
    </View>
  );
}
