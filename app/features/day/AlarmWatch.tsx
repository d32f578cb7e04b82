import type { Day, Start } from "@tonodrome/core/api";
import { alarmsOf, type DayAlarm } from "@tonodrome/core/day";
import { useEffect, useState } from "react";
import { View } from "react-native";
import { ApiFailure } from "~/data/client/api";
import { timeNow } from "~/data/client/clock";
import { useClockAhead } from "~/data/client/useClock";
import { arm } from "~/data/device/armed";
import { useStartDay } from "~/data/resources/days";
import { useStart } from "~/data/resources/starts";
import { useStable } from "~/ui/hooks/useStable";
import { Notice } from "~/ui/layout/Notice";
import { words } from "~/ui/words";
import { notify } from "./notify";
import { useDay } from "./useDay";

/** Watches the clock for the days that call on this device. */
export default function AlarmWatch({ ids }: { ids: readonly string[] }) {
  return (
    <>
      {ids.map((id) => (
        <Armed key={id} id={id} />
      ))}
    </>
  );
}

function Armed({ id }: { id: string }) {
  const start = useStart(id);
  const day = useStartDay(id);
  const isGone = start.error instanceof ApiFailure && start.error.code === "not_found";
  useEffect(() => {
    if (isGone) arm(id, false);
  }, [isGone, id]);
  return start.data && day.data && !isGone ? <Calls start={start.data} read={day.data} /> : null;
}

/** A call that was missed by more than this is not made up for, milliseconds: what is over is over. Custom. */
const TOO_LATE = 120_000;

/** Timers of a browser hold at most about so long, milliseconds: nobody leaves a page open for longer. */
const LONGEST_TIMER_MS = 2_000_000_000;

/** Calls that have been made here, so that none comes twice. */
const made = new Set<string>();

/** A day whose start is so long over calls no more, milliseconds. */
const OVER = 3_600_000;

function Calls({ start, read }: { start: Start; read: Day }) {
  const { frame, isFitted } = useDay(start, read);
  const [ringing, setRinging] = useState<DayAlarm | null>(null);
  const who = `${start.athlete.name}, ${start.title}`;
  const [called, setCalled] = useState(0);
  const ahead = useClockAhead();
  const call = useStable((alarm: DayAlarm) => {
    made.add(`${start.id} ${alarm.key}`);
    setCalled((n) => n + 1);
    // A device that slept wakes its timers late.
    if (timeNow() - alarm.at > TOO_LATE) return;
    setRinging(alarm);
    void notify(alarm.words, who, `${start.id} ${alarm.key}`);
  });
  // biome-ignore lint/correctness/useExhaustiveDependencies: each call that was made asks for the next, and so does a clock that was corrected
  useEffect(() => {
    // Until it is known what the warm-up takes, it would seem to begin as soon as everybody is there.
    if (!isFitted) return;
    const now = timeNow();
    if (Date.parse(frame.startsAt) + OVER < now) return arm(start.id, false);
    const next = alarmsOf(frame).find(
      (alarm) => alarm.at > now - TOO_LATE && !made.has(`${start.id} ${alarm.key}`),
    );
    if (!next || next.at - now > LONGEST_TIMER_MS) return;
    const timer = setTimeout(() => call(next), Math.max(0, next.at - now));
    return () => clearTimeout(timer);
  }, [frame, isFitted, start.id, called, ahead]);
  if (!ringing) return null;
  return (
    <View className="px-2 pt-2">
      <Notice
        warn
        text={`${ringing.words}. ${who}.`}
        actions={[{ label: words.close, onPress: () => setRinging(null) }]}
      />
    </View>
  );
}
