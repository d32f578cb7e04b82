import { Text } from "react-native";

/** The state at the start in a line, for people in general. @param line as it is forecast */
export function StateLine({ line }: { line: string }) {
  return (
    <Text className="font-text text-small text-ink" testID="state">
      At the start: {line.replace(/ by the start$/, "")}
    </Text>
  );
}
