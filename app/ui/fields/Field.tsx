import { type ComponentProps, type ReactNode, useId } from "react";
import { Text, View } from "react-native";
import { Icon } from "~/ui/Icon";
import { fonts } from "~/ui/tokens";

export interface FieldProps extends Omit<ComponentProps<"input">, "id"> {
  label: string;
  error?: string | undefined;
  hint?: string | null;
  /** Something more below the field, such as a list of suggestions. */
  more?: ReactNode;
}

/** One labelled line to fill in, with its error where the eye already is. */
export function Field({ label, error, hint, more, ...input }: FieldProps) {
  const id = useId();
  return (
    <View className="gap-1">
      <label htmlFor={id} style={{ fontFamily: fonts.strong, fontSize: "1.0625rem" }}>
        {label}
      </label>
      <input
        {...input}
        id={id}
        className="field"
        style={{ fontFamily: fonts.text, ...input.style }}
        aria-invalid={error ? true : undefined}
        aria-describedby={error || hint ? `${id}-more` : undefined}
      />
      <View id={`${id}-more`}>
        {error ? (
          <FieldError text={error} />
        ) : hint ? (
          <Text className="font-text text-small text-muted">{hint}</Text>
        ) : null}
      </View>
      {more}
    </View>
  );
}

/** What is wrong with a field, marked by sign and word. */
export function FieldError({ text }: { text: string }) {
  return (
    <View className="flex-row items-start gap-1" role="alert">
      <Icon name="warn" size={18} />
      <Text className="flex-1 font-strong text-small text-ink">{text}</Text>
    </View>
  );
}
