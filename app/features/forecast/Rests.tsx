import { PARAMETER_NAMES, PARAMETERS } from "@tonodrome/core/forecast";
import { Text, View } from "react-native";

/** Every figure of the model with its range and what it rests on. */
export function Rests({ unknown }: { unknown: readonly string[] }) {
  return (
    <View className="gap-2">
      {unknown.map((line) => (
        <Text key={line} className="font-strong text-body text-ink">
          {line}
        </Text>
      ))}
      <Text className="font-text text-body text-ink">
        The band is where most people lie: the 10th to the 90th of a hundred, by 64 made-up persons whose
        figures differ as these do. Nothing of it is fitted to this athlete.
      </Text>
      <View role="list" aria-label="Figures of the model">
        {PARAMETER_NAMES.map((name) => {
          const { words, middle, low, high, unit, rests } = PARAMETERS[name];
          return (
            <View key={name} role="listitem" className="border-t border-line py-2">
              <Text className="font-text text-body text-ink">
                {words}: {middle} {unit} ({low} to {high})
              </Text>
              <Text className="font-text text-small text-muted">{rests}</Text>
            </View>
          );
        })}
      </View>
    </View>
  );
}
