import { Text, View } from "react-native";
import { Button } from "~/ui/Button";

export interface StepperProps {
  label: string;
  /** The value in words. */
  value: string;
  onLess: () => void;
  onMore: () => void;
  atLeast?: boolean;
  atMost?: boolean;
}

/** One amount, changed in whole steps without typing. */
export function Stepper({ label, value, onLess, onMore, atLeast, atMost }: StepperProps) {
  return (
    <View className="flex-row flex-wrap items-center justify-end gap-2" role="group" aria-label={label}>
      <Text className="min-w-[8rem] flex-1 font-text text-body text-ink">{label}</Text>
      <Button label={`${label}: less`} icon="less" iconOnly onPress={onLess} disabled={atLeast} />
      <Text
        className="min-w-[4.5rem] text-center font-figures text-lead text-ink"
        style={{ fontVariant: ["tabular-nums"] }}
        aria-live="polite"
      >
        {value}
      </Text>
      <Button label={`${label}: more`} icon="add" iconOnly onPress={onMore} disabled={atMost} />
    </View>
  );
}
