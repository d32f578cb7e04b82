import { nearestInstant, wallClock } from "@tonodrome/core";
import type { Start } from "@tonodrome/core/api";
import { useEffect, useRef, useState } from "react";
import { Text, View } from "react-native";
import { useMay } from "~/data/account/account";
import { ApiFailure } from "~/data/client/api";
import { useMoveStart, useSaveStart } from "~/data/resources/starts";
import { Button } from "~/ui/Button";
import { Field, FieldError } from "~/ui/fields/Field";
import { useStable } from "~/ui/hooks/useStable";
import { listedTime } from "./listedTime";

const MINUTE = 60_000;
const SHIFTS = [-5, -1, 1, 5];
const signed = (minutes: number) => `${minutes > 0 ? "+" : "−"}${Math.abs(minutes)}`;

/** A time that is being typed is taken when nothing more is typed for so long, milliseconds. */
const SETTLES = 900;

interface MoveStartProps {
  start: Start;
  /** Told where it was before a move that holds. */
  onMoved: (before: Start) => void;
}

/** Moves a start by a tap. The athlete is still ready when they were, so the time available changes with it. */
export function MoveStart({ start, onMoved }: MoveStartProps) {
  const move = useMoveStart();
  const save = useSaveStart();
  const mayBuild = useMay("build");
  const { time } = wallClock(start.startsAt, start.zone);
  const listed = listedTime(start);
  const moveTo = (startsAt: number) =>
    move.mutate({ start, startsAt: new Date(startsAt).toISOString() }, { onSuccess: () => onMoved(start) });
  return (
    <View className="gap-2 pt-2">
      <View className="flex-row gap-2">
        {SHIFTS.map((minutes) => (
          <Button
            key={minutes}
            label={`${signed(minutes)} min`}
            short={signed(minutes)}
            disabled={move.isPending}
            className="flex-1"
            onPress={() => moveTo(Date.parse(start.startsAt) + minutes * MINUTE)}
          />
        ))}
      </View>
      <TimeField
        key={time}
        time={time}
        onTime={(text) => moveTo(Date.parse(nearestInstant(text, start.zone, start.startsAt)))}
      />
      {listed && mayBuild ? (
        <View className="flex-row flex-wrap items-center gap-x-3 gap-y-2">
          <Text className="font-text text-body text-ink">The start list says {listed}.</Text>
          <Button
            label={`Set the list to ${time}`}
            disabled={save.isPending}
            onPress={() => save.mutate({ start, changes: { listedAt: start.startsAt } })}
          />
        </View>
      ) : null}
      {move.error ? <FieldError text={notMoved(move.error)} /> : null}
      {save.error ? <FieldError text={save.error.message} /> : null}
      {move.isSuccess ? (
        <Text role="status" className="font-text text-small text-muted">
          Start moved to {time}.
        </Text>
      ) : null}
    </View>
  );
}

/** Nothing is kept of a move that did not reach the server: it is said to be none. */
function notMoved(error: Error): string {
  const isAway = error instanceof ApiFailure && error.code === "unreachable";
  return `Not moved. ${isAway ? "The server cannot be reached: try again in a moment." : error.message}`;
}

/** A time that is taken as soon as it is chosen, and a moment after the last key where it is typed. */
function TimeField({ time, onTime }: { time: string; onTime: (time: string) => void }) {
  const [text, setText] = useState(time);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const take = useStable((now: string) => {
    clearTimeout(timer.current);
    if (/^\d\d:\d\d$/.test(now) && now !== time) onTime(now);
  });
  useEffect(() => () => clearTimeout(timer.current), []);
  return (
    <Field
      label="Set time"
      type="time"
      value={text}
      onChange={(e) => {
        const next = e.currentTarget.value;
        setText(next);
        clearTimeout(timer.current);
        timer.current = setTimeout(() => take(next), SETTLES);
      }}
      onBlur={() => take(text)}
      onKeyDown={(e) => (e.key === "Enter" ? take(text) : undefined)}
    />
  );
}
