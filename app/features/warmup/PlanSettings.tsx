import { type PlanBody, spokenLength } from "@tonodrome/core";
import { Text, View } from "react-native";
import { Stepper } from "~/ui/Stepper";

const MINUTE = 60;
const LONGEST = 4 * 3600;

interface PlanSettingsProps {
  body: PlanBody;
  onChange: (change: Partial<PlanBody>) => void;
}

/** What the whole plan keeps to: the wait before the start and the largest step. */
export function PlanSettings({ body, onChange }: PlanSettingsProps) {
  const { leastSeconds, longestSeconds } = body.wait;
  const least = (by: number) => {
    const value = Math.min(LONGEST, Math.max(0, leastSeconds + by * MINUTE));
    onChange({ wait: { leastSeconds: value, longestSeconds: Math.max(value, longestSeconds) } });
  };
  const longest = (by: number) => {
    const value = Math.min(LONGEST, Math.max(0, longestSeconds + by * MINUTE));
    onChange({ wait: { leastSeconds: Math.min(value, leastSeconds), longestSeconds: value } });
  };
  const step = (by: number) => onChange({ stepPoints: Math.min(100, Math.max(5, body.stepPoints + by)) });
  return (
    <View className="gap-4">
      <Stepper
        label="Least wait before the start"
        value={spokenLength(leastSeconds)}
        onLess={() => least(-1)}
        onMore={() => least(1)}
        atLeast={leastSeconds === 0}
      />
      <Stepper
        label="Longest wait"
        value={spokenLength(longestSeconds)}
        onLess={() => longest(-1)}
        onMore={() => longest(1)}
        atLeast={longestSeconds === 0}
      />
      <Stepper
        label="Largest step between technical drills"
        value={`${body.stepPoints} pts`}
        onLess={() => step(-5)}
        onMore={() => step(5)}
        atLeast={body.stepPoints <= 5}
        atMost={body.stepPoints >= 100}
      />
      <Text className="font-text text-small text-muted">
        A wait a little over the least keeps them warm and fresh. Steps of at most 20 points keep the climb
        even.
      </Text>
    </View>
  );
}
