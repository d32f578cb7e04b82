import { useId } from "react";
import { View } from "react-native";
import { fonts } from "~/ui/tokens";
import { FieldError } from "./Field";

interface SelectProps {
  label: string;
  options: readonly { value: string; label: string }[];
  value: string;
  onChange: (value: string) => void;
  error?: string | undefined;
}

/** One of many, in the device's own list. */
export function Select({ label, options, value, onChange, error }: SelectProps) {
  const id = useId();
  return (
    <View className="gap-1">
      <label htmlFor={id} style={{ fontFamily: fonts.strong, fontSize: "1.0625rem" }}>
        {label}
      </label>
      <select
        id={id}
        className="field"
        style={{ fontFamily: fonts.text }}
        value={value}
        aria-invalid={error ? true : undefined}
        onChange={(e) => onChange(e.currentTarget.value)}
      >
        {options.map((option) => (
          <option key={option.value} value={option.value}>
            {option.label}
          </option>
        ))}
      </select>
      {error ? <FieldError text={error} /> : null}
    </View>
  );
}
