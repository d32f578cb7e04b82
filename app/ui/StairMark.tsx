import { View } from "react-native";
import { toneClasses } from "./tone";

const STEPS = [8, 22, 36, 50, 64, 78, 95];

/** The stair in small: seven tones stepping down to the start. A picture of the idea, with nothing to read. */
export function StairMark() {
  return (
    <View aria-hidden className="gap-[3px]">
      {STEPS.map((intensity, i) => (
        <View
          key={intensity}
          className={`h-3 w-[62%] ${toneClasses(intensity).fill}`}
          style={{ marginLeft: `${(i / (STEPS.length - 1)) * 38}%` }}
        />
      ))}
      <View className="h-3 w-full bg-signal" />
    </View>
  );
}
