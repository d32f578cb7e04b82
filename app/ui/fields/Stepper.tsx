import { type KeyboardEvent, useState } from "react";
import { Pressable, Text, View } from "react-native";
import { Button } from "~/ui/Button";
import { fonts } from "~/ui/tokens";
import { typedAmount } from "./typedAmount";

export interface StepperProps {
  label: string;
  /** The value in words. */
  value: string;
  onLess: () => void;
  onMore: () => void;
  atLeast?: boolean;
  atMost?: boolean;
  /** A line more below its name. */
  under?: string;
  /** With it the number can be typed too, in the unit that is shown. */
  onType?: ((amount: number) => void) | undefined;
}

/** One amount, changed in whole steps without typing; where it may be typed, by pressing the number. */
export function Stepper({ label, under, value, onLess, onMore, atLeast, atMost, onType }: StepperProps) {
  return (
    <View className="flex-row flex-wrap items-center justify-end gap-2" role="group" aria-label={label}>
      <View className="min-w-[8rem] flex-1">
        <Text className="font-text text-body text-ink">{label}</Text>
        {under ? (
          <Text className="font-text text-small text-muted" testID="under">
            {under}
          </Text>
        ) : null}
      </View>
      <Button label={`${label}: less`} icon="less" iconOnly onPress={onLess} disabled={atLeast} />
      {onType ? (
        <Typed label={label} value={value} onType={onType} />
      ) : (
        <Text
          className="min-w-[4.5rem] text-center font-figures text-lead text-ink"
          style={{ fontVariant: ["tabular-nums"] }}
          aria-live="polite"
        >
          {value}
        </Text>
      )}
      <Button label={`${label}: more`} icon="add" iconOnly onPress={onMore} disabled={atMost} />
    </View>
  );
}

/** A number that becomes a field when it is pressed. What is no number changes nothing. */
function Typed({ label, value, onType }: { label: string; value: string; onType: (amount: number) => void }) {
  const [text, setText] = useState<string | null>(null);
  const end = () => {
    const amount = text === null ? null : typedAmount(text);
    if (amount !== null && text !== value) onType(amount);
    setText(null);
  };
  if (text === null)
    return (
      <Pressable
        role="button"
        aria-label={`${label}: ${value}, type it`}
        onPress={() => setText(value)}
        className="min-h-press min-w-[4.5rem] justify-center"
      >
        <Text
          className="text-center font-figures text-lead text-ink underline decoration-dotted underline-offset-4"
          style={{ fontVariant: ["tabular-nums"] }}
          aria-live="polite"
        >
          {value}
        </Text>
      </Pressable>
    );
  const onKeyDown = (e: KeyboardEvent) => {
    if (e.key === "Enter") {
      e.preventDefault();
      end();
    }
    if (e.key !== "Escape") return;
    // Only the typing is given up, not the sheet.
    e.stopPropagation();
    setText(null);
  };
  return (
    <input
      aria-label={label}
      className="field"
      style={{ fontFamily: fonts.figures, width: "4.5rem", textAlign: "center" }}
      inputMode="decimal"
      value={text}
      ref={focused}
      onChange={(e) => setText(e.currentTarget.value)}
      onBlur={end}
      onKeyDown={onKeyDown}
    />
  );
}

/** Ready to type over, as soon as it is there. */
function focused(field: HTMLInputElement | null): void {
  if (!field || field === document.activeElement) return;
  field.focus();
  field.select();
}
