import { formatLength } from "@tonodrome/core";
import type { FillPreview } from "@tonodrome/core/fill";
import { Text, View } from "react-native";
import { WholeRise } from "~/features/rise/WholeRise";
import { Unbroken } from "~/ui/Unbroken";

/** How high the rise of a preview is drawn, pixels. */
const HEIGHT = 40;

/** What an approach would give: its rise, how long it is, how it begins, and what there is to look at. */
export function FillPreviewLine({ preview }: { preview: FillPreview }) {
  const { first, drills, seconds, segments, stops, warnings } = preview;
  const found = stops + warnings;
  const look =
    found === 0 ? "nothing to warn of" : `${found} to look at${stops > 0 ? `, ${stops} grave` : ""}`;
  return (
    <View className="gap-1">
      <WholeRise segments={segments} height={HEIGHT} />
      <Text className="font-text text-small text-ink">
        <Unbroken
          text={`${drills} ${drills === 1 ? "drill" : "drills"}, ${formatLength(seconds)} min of movement, ${look}. Begins with ${first.join(", ")}.`}
        />
      </Text>
    </View>
  );
}
