import { Text, View } from "react-native";
import type { Pulse } from "~/features/run/follow/usePulse";
import { toneClasses } from "~/ui/tone";

/** Rates between these are drawn from the palest tone to the fullest, beats per minute. */
const LOW = 70;
const HIGH = 185;

/** The heart rate and how it went in the last minutes, as tone. */
export function PulseStrip({ pulse, text }: { pulse: Pulse; text: string }) {
  const share = (rate: number) => Math.max(0, Math.min(100, ((rate - LOW) / (HIGH - LOW)) * 100));
  let at = 0;
  const marks = pulse.recent.map((rate) => ({ key: at++, rate }));
  return (
    <View className="flex-row items-center gap-2 pt-1">
      <Text className={`font-text text-body ${text}`}>
        {pulse.rate === null ? "no contact" : `${pulse.rate} a minute`}
        {pulse.simulated ? " (simulated)" : ""}
      </Text>
      <View className="h-3 flex-1 flex-row" aria-hidden>
        {marks.map(({ key, rate }) => (
          <View
            key={key}
            className={`h-3 flex-1 ${rate === null ? "border-b border-muted" : toneClasses(share(rate)).fill}`}
          />
        ))}
      </View>
    </View>
  );
}
