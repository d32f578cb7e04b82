import { type Limits, orderedWait, type PlanBody, spokenLength } from "@tonodrome/core";
import { Text, View } from "react-native";
import { Amount } from "~/features/fields/fields";
import { Stepper } from "~/ui/fields/Stepper";

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
    onChange({ wait: orderedWait({ ...body.wait, leastSeconds: value }) });
  };
  const longest = (by: number) => {
    const value = Math.min(LONGEST, Math.max(0, longestSeconds + by * MINUTE));
    const leastNow = Math.min(value, leastSeconds);
    onChange({ wait: orderedWait({ ...body.wait, leastSeconds: leastNow, longestSeconds: value }) });
  };
  const shortest = body.wait.shortestSeconds ?? leastSeconds;
  const shorter = (by: number) => {
    const value = Math.min(leastSeconds, Math.max(0, shortest + by * MINUTE));
    onChange({ wait: { ...body.wait, shortestSeconds: value === leastSeconds ? undefined : value } });
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
        label="Short of time, no less than"
        value={spokenLength(shortest)}
        onLess={() => shorter(-1)}
        onMore={() => shorter(1)}
        atLeast={shortest === 0}
        atMost={shortest >= leastSeconds}
      />
      <Stepper
        label="Longest wait"
        value={spokenLength(longestSeconds)}
        onLess={() => longest(-1)}
        onMore={() => longest(1)}
        atLeast={longestSeconds === 0}
      />
      <Stepper
        label="Largest step up"
        value={`${body.stepPoints} pts`}
        onLess={() => step(-5)}
        onMore={() => step(5)}
        atLeast={body.stepPoints <= 5}
        atMost={body.stepPoints >= 100}
      />
      <Amount
        label="Rest before the start after hard work"
        value={body.wait.times ?? 0}
        least={0}
        most={20}
        show={(n) => (n === 0 ? "as the wait" : `${n} × its length`)}
        onChange={(times) => onChange({ wait: { ...body.wait, times: times || undefined } })}
      />
      <PlanLimits limits={body.limits ?? {}} onChange={(limits) => onChange({ limits })} />
      <Text className="font-text text-small text-muted">
        A wait a little over the least keeps them warm and fresh. Steps of at most 20 points keep the climb
        even.
      </Text>
    </View>
  );
}

interface PlanLimitsProps {
  limits: Limits;
  onChange: (limits: Limits) => void;
}

const OFF = "no limit";

/** What the warm-up may not pass, however much time there is. */
function PlanLimits({ limits, onChange }: PlanLimitsProps) {
  const put = (more: Limits) => onChange({ ...limits, ...more });
  return (
    <>
      <Amount
        label="Longest general work without a break"
        value={limits.generalMinutes ?? 0}
        least={0}
        most={120}
        show={(n) => (n === 0 ? OFF : `${n} min`)}
        onChange={(n) => put({ generalMinutes: n || undefined })}
      />
      <Amount
        label="Repetitions, share of a usual session"
        value={limits.volumePercent ?? 0}
        least={0}
        most={100}
        step={5}
        show={(n) => (n === 0 ? OFF : `${n} %`)}
        onChange={(n) => put({ volumePercent: n || undefined })}
      />
      <Amount
        label="Explosive repetitions"
        value={limits.explosiveReps ?? -1}
        least={-1}
        most={500}
        show={(n) => (n < 0 ? OFF : String(n))}
        onChange={(n) => put({ explosiveReps: n < 0 ? undefined : n })}
      />
      <Amount
        label="Easy share of the work, at least"
        value={limits.easyPercent ?? 0}
        least={0}
        most={90}
        step={5}
        show={(n) => (n === 0 ? OFF : `${n} %`)}
        onChange={(n) => put({ easyPercent: n || undefined })}
      />
    </>
  );
}
