import { canSplit, circuitFault } from "@tonodrome/core";
import { Text, View } from "react-native";
import type { WarmUpModel } from "~/features/warmup/model/useWarmUp";
import { Button } from "~/ui/Button";
import { words } from "~/ui/words";

/** What is done with several drills at once, in the place of the usual actions. */
export function ChosenActions({ model }: { model: WarmUpModel }) {
  const { chosen, draft, deed, choose } = model;
  const items = draft.body.items.filter((i) => chosen?.has(i.id));
  const none = items.length === 0;
  const fault = circuitFault(items);
  return (
    <View className="gap-2 pb-2" role="group" aria-label="Several drills">
      <Text className="font-text text-body text-ink" aria-live="polite">
        {none
          ? "Press the drills you mean."
          : `${items.length} chosen${fault && items.length > 1 ? `. ${fault}` : ""}`}
      </Text>
      <View className="flex-row flex-wrap gap-2">
        <Button label={words.earlier} icon="up" iconOnly disabled={none} onPress={() => deed("earlier")} />
        <Button label={words.later} icon="down" iconOnly disabled={none} onPress={() => deed("later")} />
        <Button label={words.copy} icon="copy" iconOnly disabled={none} onPress={() => deed("copy")} />
        <Button label={words.remove} icon="remove" iconOnly disabled={none} onPress={() => deed("remove")} />
        <Button label={words.circuit} disabled={fault !== null} onPress={() => deed("circuit")} />
        <Button label={words.split} disabled={!items.some(canSplit)} onPress={() => deed("split")} />
        <Button label="Done" look="full" className="flex-1" onPress={() => choose(false)} />
      </View>
    </View>
  );
}
