import { Pressable, Text, View } from "react-native";

export interface ChoiceProps<T extends string> {
  label: string;
  /** Shows the label above; otherwise it is for those who listen, where the choices speak for themselves. */
  named?: boolean;
  options: readonly { value: T; label: string }[];
  value: T | null;
  onChange: (value: T) => void;
}

/** One of a few, all in sight. */
export function Choice<T extends string>({ label, named, options, value, onChange }: ChoiceProps<T>) {
  const choices = (
    <View role="radiogroup" aria-label={label} className="flex-row flex-wrap gap-2">
      {options.map((option) => {
        const chosen = option.value === value;
        return (
          <Pressable
            key={option.value}
            role="radio"
            aria-checked={chosen}
            onPress={() => onChange(option.value)}
            className={`min-h-press justify-center border-2 px-3 ${chosen ? "border-press bg-press" : "border-muted"}`}
          >
            <Text className={`font-strong text-body ${chosen ? "text-on-press" : "text-ink"}`}>
              {option.label}
            </Text>
          </Pressable>
        );
      })}
    </View>
  );
  if (!named) return choices;
  return (
    <View className="gap-1">
      <Text className="font-strong text-body text-ink" aria-hidden>
        {label}
      </Text>
      {choices}
    </View>
  );
}
