import { formatLength, gateTally } from "@tonodrome/core";
import { Text, View } from "react-native";
import type { FaceModel } from "./faceModel";
import { type Ground, Press } from "./Press";
import { Timer } from "./Timer";
import type { Presses } from "./usePresses";

const SIDES = ["left", "right"];

/** A gate under way: how near it is, the cap counting down, and what to attend to. */
export function GateFace({ model, text }: { model: FaceModel; text: string }) {
  const { state, clock, settings } = model;
  const split = state.splits[state.index];
  const gate = split?.drill.gate;
  if (!split || !gate) return null;
  const tally = gateTally(gate, split.tries);
  const left = capLeft(model);
  return (
    <View>
      <Text className={`font-strong text-title ${text}`} numberOfLines={2}>
        {split.drill.name}
        {tally.sides > 1 ? `, ${SIDES[tally.side] ?? ""}` : ""}
      </Text>
      {settings.bigType || model.offer ? null : (
        <Text className={`font-text text-lead ${text}`} numberOfLines={2}>
          {split.drill.words}
        </Text>
      )}
      <Timer text={text} big={settings.bigType}>
        {`${tally.counting}/${tally.wanted}`}
      </Timer>
      <Text className={`font-strong text-title ${text}`} testID="tally" role="status">
        {tally.hits + tally.misses === 0 ? "First try" : `Try ${tally.hits + tally.misses + 1}`}
        {left > 0 ? `, ${formatLength(left)} left` : ". Time is up: move on"}
      </Text>
      <Text className={`font-strong text-title ${text}`} numberOfLines={model.offer ? 1 : 2}>
        {state.heldSince === null ? split.drill.focus : "On hold. The start is not."}
      </Text>
      <Text className="sr-only">{formatLength(Math.max(0, clock.elapsed))}</Text>
    </View>
  );
}

/** Seconds left under the cap of every side together. */
export function capLeft({ state, clock }: Pick<FaceModel, "state" | "clock">): number {
  const gate = state.splits[state.index]?.drill.gate;
  return gate ? Math.ceil(gate.capSeconds * gate.sides - clock.elapsed) : 0;
}

/** Hit and miss: the two largest areas there are. */
export function GatePresses({ presses, ground }: { presses: Presses; ground: Ground }) {
  return (
    <View className="min-h-[168px] flex-row gap-2 pt-2">
      <Press label="Miss" ground={ground} onPress={presses.miss} fills />
      <Press label="Hit" ground={ground} onPress={presses.hit} fills full />
    </View>
  );
}
