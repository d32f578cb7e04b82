import { wallClock } from "@tonodrome/core";
import { useState } from "react";
import { View } from "react-native";
import { useNow } from "~/data/client/useNow";
import { Field } from "~/ui/fields/Field";
import { words } from "~/ui/words";
import { type When, whenOf } from "./startForm";
import { ZoneField } from "./ZoneField";

/**
 * The day, the time and the zone of a start, as the venue's own clock has them. The time available goes with it. What
 * cannot be is said and not handed on.
 */
export function WhenFields({ start, onChange }: { start: When; onChange: (when: When) => void }) {
  const { date, time } = wallClock(start.startsAt, start.zone);
  const [typed, setTyped] = useState({ date, time, zone: start.zone });
  const now = useNow(60_000);
  const { when, fault, hint } = whenOf(typed, start, now);
  const type = (more: Partial<typeof typed>) => {
    const next = { ...typed, ...more };
    setTyped(next);
    const read = whenOf(next, start, now).when;
    if (read) onChange(read);
  };
  return (
    <View className="gap-4">
      <View className="flex-row gap-3">
        <View className="flex-1">
          <Field
            label={words.day}
            type="date"
            value={typed.date}
            onChange={(e) => type({ date: e.currentTarget.value })}
          />
        </View>
        <View className="flex-1">
          <Field
            label={words.start}
            type="time"
            value={typed.time}
            error={when ? undefined : fault}
            hint={hint}
            onChange={(e) => type({ time: e.currentTarget.value })}
          />
        </View>
      </View>
      <ZoneField value={typed.zone} onChange={(e) => type({ zone: e.currentTarget.value })} />
    </View>
  );
}
