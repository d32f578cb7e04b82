import { Text, View } from "react-native";

/** What there is to know of a drill, each fact with its name; those without a text are left out. */
export function DrillFactList({ facts }: { facts: readonly (readonly [name: string, text: string])[] }) {
  return (
    <View>
      {facts
        .filter(([, text]) => text)
        .map(([name, text]) => (
          <View key={name} className="flex-row gap-3 border-t border-line py-2">
            <Text className="w-28 font-text text-body text-muted">{name}</Text>
            <Text className="flex-1 font-strong text-body text-ink">{text}</Text>
          </View>
        ))}
    </View>
  );
}
