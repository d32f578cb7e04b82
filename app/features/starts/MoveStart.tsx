import { MINUTE_MS, nearestInstant, wallClock } from "@tonodrome/core";
import type { Start } from "@tonodrome/core/api";
import { useEffect, useRef, useState } from "react";
import { Text, View } from "react-native";
import { useMay, useMembership } from "~/data/account/useAccount";
import { useMoving, useNotMoved, useSaveStart } from "~/data/resources/starts";
import { moveStart } from "~/data/starts/moves";
import { Button } from "~/ui/Button";
import { Field, FieldError } from "~/ui/fields/Field";
import { useStable } from "~/ui/hooks/useStable";
import { useStaysPut } from "~/ui/hooks/useStaysPut";
import { listedTime } from "./listedTime";
import { undoMove, undoWords } from "./undoMove";

const SHIFTS = [-5, -1, 1, 5];
const signed = (minutes: number) => `${minutes > 0 ? "+" : "−"}${Math.abs(minutes)}`;

/** A time that is being typed is taken when nothing more is typed for so long, milliseconds. */
const SETTLES = 900;

interface MoveStartProps {
  /** Where it stands by every press so far. */
  start: Start;
  /** The start as it was before it was moved here; null where it was not. */
  before: Start | null;
  /** Told of it with the first press, and with null when all of it was taken back. */
  onMoved: (before: Start | null) => void;
}

/**
 * Moves a start by a tap. The athlete is still ready when they were, so the time available changes with it. Presses count at
 * once and add up; they are sent as one. Nothing moves under the thumb, and taking it back has a place of its own.
 */
export function MoveStart({ start, before, onMoved }: MoveStartProps) {
  const { id: clubId } = useMembership();
  const save = useSaveStart();
  const mayBuild = useMay("build");
  const moving = useMoving(start.id);
  const notMoved = useNotMoved(start.id);
  const row = useRef<HTMLDivElement>(null);
  const stay = useStaysPut(row);
  const { time } = wallClock(start.startsAt, start.zone);
  const listed = listedTime(start);
  const moveTo = (startsAt: number) => {
    stay();
    if (!before) onMoved(start);
    moveStart(clubId, start, new Date(startsAt).toISOString());
  };
  const undo = () => {
    if (!before) return;
    stay();
    undoMove(clubId, start, before);
    onMoved(null);
  };
  return (
    <View className="gap-2 pt-2">
      <div ref={row} className="flex flex-row gap-2">
        {SHIFTS.map((minutes) => (
          <Button
            key={minutes}
            label={`${signed(minutes)} min`}
            short={signed(minutes)}
            className="flex-1"
            onPress={() => moveTo(Date.parse(start.startsAt) + minutes * MINUTE_MS)}
          />
        ))}
      </div>
      <Button label={before ? undoWords(before) : "Undo"} icon="undo" disabled={!before} onPress={undo} />
      <Text role="status" className="min-h-6 font-text text-small text-muted">
        {moveWords(time, before !== null, moving)}
      </Text>
      {notMoved ? <FieldError text={`${notMoved} It is at ${time}.`} /> : null}
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
            disabled={save.isPending || moving !== null}
            onPress={() => save.mutate({ start, changes: { listedAt: start.startsAt } })}
          />
        </View>
      ) : null}
      {save.error ? <FieldError text={save.error.message} /> : null}
    </View>
  );
}

/** What became of the presses: on their way, there, or kept until there is a connection. */
function moveWords(time: string, isMoved: boolean, moving: { failure: string | null } | null): string {
  if (moving?.failure) return `Moved to ${time} on this device, and sent as soon as the server answers.`;
  if (moving) return `Moving to ${time} …`;
  return isMoved ? `Start moved to ${time}.` : "";
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
