import { spokenLength } from "@tonodrome/core";
import { Text, View } from "react-native";
import { type Ground, Press, WORDS } from "~/features/run/presses/Press";
import type { Presses } from "~/features/run/presses/usePresses";
import type { FaceModel } from "./faceModel";

interface RefitBarProps {
  model: FaceModel;
  presses: Presses;
  ground: Ground;
  onLeave: () => void;
}

/** What the rest of the run could be, in one line, and the press that makes it so. */
export function RefitBar({ model, presses, ground, onLeave }: RefitBarProps) {
  const { offer, applied } = model;
  const { text } = WORDS[ground];
  const edge = ground === "paper" ? "border-press" : "border-on-fill";
  if (applied && !offer) {
    return (
      <Text className={`pb-1 font-text text-body ${text}`} numberOfLines={2}>
        Re-fitted. {applied}
      </Text>
    );
  }
  if (!offer || model.presses !== "all") return null;
  const { refit, reason } = offer;
  return (
    <View className={`border-t-2 pt-2 ${edge}`} testID={ground === "paper" ? "refit" : undefined}>
      <Text
        className={`font-strong text-body ${text}`}
        numberOfLines={4}
        role={ground === "paper" ? "alert" : undefined}
      >
        {reason}. {shortWords(refit)}
        {refit.line}
      </Text>
      <View className="flex-row gap-2 pt-2">
        <View className="flex-[2]">
          <Press label="Adjust plan" ground={ground} onPress={() => presses.refit(refit)} full />
        </View>
        <Press label="Keep plan" ground={ground} onPress={onLeave} />
      </View>
    </View>
  );
}

function shortWords({ state, missingSeconds }: NonNullable<FaceModel["offer"]>["refit"]): string {
  if (state !== "short") return "";
  return missingSeconds > 0
    ? `The essentials are ${spokenLength(missingSeconds)} short; at best: `
    : "The essentials no longer fit; at best: ";
}
