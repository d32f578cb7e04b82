import { type Limits, MINUTE_SECONDS, orderedWait, type PlanBody, spokenLength } from "@tonodrome/core";
import { Text, View } from "react-native";
import { Amount } from "~/features/fields/fields";

const LONGEST_SECONDS = 4 * 3600;

interface PlanSettingsProps {
  body: PlanBody;
  onChange: (change: Partial<PlanBody>) => void;
}

/** What the whole plan keeps to: the wait before the start and the largest step. */
export function PlanSettings({ body, onChange }: PlanSettingsProps) {
  const { leastSeconds, longestSeconds } = body.wait;
  const shortest = body.wait.shortestSeconds ?? leastSeconds;
  return (
    <View className="gap-4">
      <Minutes
        label="Least wait before the start"
        seconds={leastSeconds}
        onChange={(seconds) => onChange({ wait: orderedWait({ ...body.wait, leastSeconds: seconds }) })}
      />
      <Minutes
        label="Short of time, no less than"
        seconds={shortest}
        most={leastSeconds}
        onChange={(seconds) =>
          onChange({
            wait: { ...body.wait, shortestSeconds: seconds === leastSeconds ? undefined : seconds },
          })
        }
      />
      <Minutes
        label="Longest wait"
        seconds={longestSeconds}
        onChange={(seconds) => {
          const leastNow = Math.min(seconds, leastSeconds);
          onChange({ wait: orderedWait({ ...body.wait, leastSeconds: leastNow, longestSeconds: seconds }) });
        }}
      />
      <Amount
        label="Largest step up"
        value={body.stepPoints}
        {...{ least: 5, most: 100, step: 5 }}
        show={(n) => `${n} pts`}
        onChange={(stepPoints) => onChange({ stepPoints })}
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

interface MinutesProps {
  label: string;
  seconds: number;
  /** Seconds too. */
  most?: number;
  onChange: (seconds: number) => void;
}

/** A length in minutes. */
function Minutes({ label, seconds, most = LONGEST_SECONDS, onChange }: MinutesProps) {
  return (
    <Amount
      label={label}
      value={seconds / MINUTE_SECONDS}
      least={0}
      most={most / MINUTE_SECONDS}
      show={(n) => spokenLength(n * MINUTE_SECONDS)}
      onChange={(n) => onChange(n * MINUTE_SECONDS)}
    />
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
