import { nearestInstant, wallClock } from "@tonodrome/core";
import type { Start } from "@tonodrome/core/api";
import { useState } from "react";
import { Text, View } from "react-native";
import { movedStart } from "~/data/resources/movedStart";
import { useSaveStart } from "~/data/resources/starts";
import { Button } from "~/ui/Button";
import { clockTime } from "~/ui/dates";
import { Field, FieldError } from "~/ui/fields/Field";
import { listedTime } from "./listedTime";

const MINUTE = 60_000;
const SHIFTS = [-5, -1, 1, 5];
const signed = (minutes: number) => `${minutes > 0 ? "+" : "−"}${Math.abs(minutes)}`;

/** Moves a start by a tap. The athlete is still ready when they were, so the time available changes with it. */
export function MoveStart({ start }: { start: Start }) {
  const save = useSaveStart();
  const [before, setBefore] = useState<Start | null>(null);
  const { time } = wallClock(start.startsAt, start.zone);
  const listed = listedTime(start);

  function moveTo(startsAt: number) {
    setBefore(start);
    save.mutate({ start, changes: movedStart(start, startsAt) });
  }

  function setTime(text: string) {
    if (!/^\d\d:\d\d$/.test(text) || text === time) return;
    moveTo(Date.parse(nearestInstant(text, start.zone, start.startsAt)));
  }

  return (
    <View className="gap-2 pt-2">
      <View className="flex-row gap-2">
        {SHIFTS.map((minutes) => (
          <Button
            key={minutes}
            label={`${signed(minutes)} min`}
            short={signed(minutes)}
            disabled={save.isPending}
            className="flex-1"
            onPress={() => moveTo(Date.parse(start.startsAt) + minutes * MINUTE)}
          />
        ))}
      </View>
      <View className="flex-row items-end gap-2">
        <View className="flex-1">
          <Field
            key={time}
            label="Set time"
            type="time"
            defaultValue={time}
            onBlur={(e) => setTime(e.currentTarget.value)}
            onKeyDown={(e) => (e.key === "Enter" ? setTime(e.currentTarget.value) : undefined)}
          />
        </View>
        {before && save.isSuccess ? (
          <Button
            label={`Undo: ${clockTime(before.startsAt, before.zone)}`}
            icon="undo"
            onPress={() => {
              save.mutate({ start, changes: { startsAt: before.startsAt, readyAt: before.readyAt } });
              setBefore(null);
            }}
          />
        ) : null}
      </View>
      {listed ? (
        <View className="flex-row flex-wrap items-center gap-x-3 gap-y-2">
          <Text className="font-text text-body text-ink">The start list says {listed}.</Text>
          <Button
            label={`Set the list to ${time}`}
            disabled={save.isPending}
            onPress={() => save.mutate({ start, changes: { listedAt: start.startsAt } })}
          />
        </View>
      ) : null}
      {save.error ? <FieldError text={save.error.message} /> : null}
      {save.isSuccess && before ? (
        <Text role="status" className="font-text text-small text-muted">
          Start moved to {clockTime(start.startsAt, start.zone)}.
        </Text>
      ) : null}
    </View>
  );
}
