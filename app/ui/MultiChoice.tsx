import { Pressable, Text, View } from "react-native";

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
            <Pressable
              key={option.value}
              role="checkbox"
              aria-checked={chosen}
              onPress={() =>
                onChange(chosen ? values.filter((v) => v !== option.value) : [...values, option.value])
              }
              className={`min-h-press justify-center border-2 px-3 ${chosen ? "border-press bg-press" : "border-muted"}`}
            >
              <Text className={`font-strong text-body ${chosen ? "text-on-press" : "text-ink"}`}>
                {option.label}
              </Text>
            </Pressable>
          );
        })}
      </View>
    </View>
  );
}
