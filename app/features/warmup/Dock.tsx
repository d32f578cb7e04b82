import { type Fit, formatLength, givenUpLine } from "@tonodrome/core";
import { Pressable, Text, View } from "react-native";
import { STATE_WORDS } from "~/features/today/startView";
import { Slider } from "~/ui/Slider";

interface DockProps {
  minutes: number;
  mostMinutes: number;
  fit: Fit;
  /** Set when the start is nearer than the time chosen, seconds until it. */
  cappedBy: number | null;
  onMinutes: (minutes: number) => void;
  onExplain: () => void;
}

/** Time available under the thumb: the number, the slider and one line of what was given up. */
export function Dock({ minutes, mostMinutes, fit, cappedBy, onMinutes, onExplain }: DockProps) {
  return (
    <View>
      <View className="flex-row items-baseline gap-2">
        <Text className="font-figures text-figure text-ink" style={{ fontVariant: ["tabular-nums"] }}>
          {minutes}
        </Text>
        <Text className="flex-1 font-text text-body text-ink" numberOfLines={1}>
          min available{cappedBy === null ? "" : `, only ${formatLength(cappedBy)} left`}
        </Text>
        <Text
          role="status"
          className={`text-body text-ink ${fit.state === "fits" ? "font-text" : "font-strong"}`}
        >
          {STATE_WORDS[fit.state]}
        </Text>
      </View>
      <Slider
        label="Time available"
        value={minutes}
        least={1}
        most={mostMinutes}
        step={1}
        words={`${minutes} min, ${STATE_WORDS[fit.state]}`}
        onChange={onMinutes}
      />
      <Pressable
        role="button"
        aria-haspopup="dialog"
        onPress={onExplain}
        className="min-h-press justify-center"
      >
        <Text className="font-text text-small text-ink underline" numberOfLines={2} testID="given-up">
          {givenUpLine(fit)}
        </Text>
      </Pressable>
    </View>
  );
}
