import { Text, View } from "react-native";
import { Chip } from "./Chip";

interface MultiChoiceProps<T extends string> {
  label: string;
  options: readonly { value: T; label: string }[];
  values: readonly T[];
  onChange: (values: T[]) => void;
}

/** Any number of a few, all in sight. */
export function MultiChoice<T extends string>({ label, options, values, onChange }: MultiChoiceProps<T>) {
  return (
    <View className="gap-1">
      <Text className="font-strong text-body text-ink">{label}</Text>
      <View role="group" aria-label={label} className="flex-row flex-wrap gap-2">
        {options.map((option) => {
          const chosen = values.includes(option.value);
          return (
            <Chip
              key={option.value}
              role="checkbox"
              label={option.label}
              chosen={chosen}
              onPress={() =>
                onChange(chosen ? values.filter((v) => v !== option.value) : [...values, option.value])
              }
            />
          );
        })}
      </View>
    </View>
  );
}
