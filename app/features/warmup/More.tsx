import { View } from "react-native";
import { Button } from "~/ui/Button";
import type { WarmUpModel } from "./model/useWarmUp";

/** Everything that is done with a warm-up now and then. */
export function More({ model }: { model: WarmUpModel }) {
  const { open, choose, draft } = model;
  const empty = draft.body.items.length === 0;
  return (
    <View className="gap-2">
      <Button label="Fill it from an approach, an earlier one or a template" onPress={() => open("fill")} />
      <Button label="Choose several drills" disabled={empty} onPress={() => choose(true)} />
      <Button label="Keep as a template" disabled={empty} onPress={() => open("template")} />
      <Button label="The start: when, who, event, conditions, copy, delete" onPress={() => open("start")} />
      <Button label="Places, windows, fixed points" onPress={() => open("day")} />
      <Button label="Wait, steps and limits" onPress={() => open("settings")} />
      <Button label="Earlier versions" onPress={() => open("versions")} />
    </View>
  );
}
