import { Text, View } from "react-native";

/** The keys of a screen, shown by `?`. */
export function KeysHelp({ keys }: { keys: readonly (readonly [key: string, what: string])[] }) {
  return (
    <View>
      {keys.map(([key, what]) => (
        <View key={key} className="flex-row gap-3 border-t border-line py-2">
          <Text className="w-32 font-strong text-body text-ink">{key}</Text>
          <Text className="flex-1 font-text text-body text-ink">{what}</Text>
        </View>
      ))}
    </View>
  );
}
