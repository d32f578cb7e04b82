import { Text, View } from "react-native";
import { Chip } from "./Chip";

export interface ChoiceProps<T extends string> {
  label: string;
  /** Shows the label above; otherwise it is for those who listen, where the choices speak for themselves. */
  named?: boolean;
  options: readonly { value: T; label: string; example?: string }[];
  value: T | null;
  onChange: (value: T) => void;
}

/** One of a few, all in sight. */
export function Choice<T extends string>({ label, named, options, value, onChange }: ChoiceProps<T>) {
  const choices = (
    <View role="radiogroup" aria-label={label} className="flex-row flex-wrap gap-2">
      {options.map((option) => (
        <Chip
          key={option.value}
          role="radio"
          label={option.label}
          example={option.example}
          chosen={option.value === value}
          onPress={() => onChange(option.value)}
        />
      ))}
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
