import type { Replacement } from "@tonodrome/core";
import type { ShelfDrill } from "@tonodrome/core/api";
import { Text, View } from "react-native";
import { Button } from "~/ui/Button";

interface SpareProps {
  sparing: readonly Replacement<ShelfDrill>[];
  onReplace: (chosen: readonly Replacement<ShelfDrill>[]) => void;
}

/** What would be replaced by what, all at once or one by one. */
export function Spare({ sparing, onReplace }: SpareProps) {
  return (
    <View className="gap-4">
      <Text className="font-text text-body text-ink">
        Whoever treats them decides what may be loaded. These drills load a part that is to be spared:
      </Text>
      <View role="list" aria-label="Alternatives">
        {sparing.map((one) => (
          <View key={one.item.id} role="listitem" className="gap-1 border-t-2 border-line py-2">
            <Text className="font-text text-body text-muted line-through">{one.item.name}</Text>
            <View className="flex-row items-center gap-3">
              <View className="flex-1">
                <Text className="font-strong text-body text-ink">
                  {one.to ? one.to.name : "Left out: the shelf has nothing for it"}
                </Text>
                <Text className="font-text text-small text-muted">{one.words}</Text>
              </View>
              <Button
                label={one.to ? `Replace ${one.item.name}` : `Leave out ${one.item.name}`}
                short={one.to ? "Replace" : "Leave out"}
                onPress={() => onReplace([one])}
              />
            </View>
          </View>
        ))}
      </View>
      <Button
        label={sparing.length === 1 ? "Do it" : `Do all ${sparing.length}`}
        look="full"
        onPress={() => onReplace(sparing)}
      />
    </View>
  );
}
