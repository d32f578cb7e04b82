import { MINUTE_MS, nearestInstant, type VenuePlace, type VenueWindow, wallClock } from "@tonodrome/core";
import type { Start } from "@tonodrome/core/api";
import { useState } from "react";
import { View } from "react-native";
import { Amount } from "~/features/fields/fields";
import { Button } from "~/ui/Button";
import { Choice } from "~/ui/fields/Choice";
import { Field } from "~/ui/fields/Field";
import { RangePair } from "~/ui/fields/RangePair";

interface WindowsProps {
  start: Start;
  place: VenuePlace;
  onChange: (windows: VenueWindow[]) => void;
}

/** When a place is open: each window by its ends, dragged or typed, and who else is there. */
export function Windows({ start, place, onChange }: WindowsProps) {
  const put = (i: number, more: Partial<VenueWindow>) =>
    onChange(place.windows.map((w, k) => (k === i ? { ...w, ...more } : w)));
  return place.windows.map((window, i) => (
    // biome-ignore lint/suspicious/noArrayIndexKey: a window has nothing else that stays the same while it is edited
    <View key={i} className="gap-2">
      <Ends start={start} name={place.name} window={window} onChange={(ends) => put(i, ends)} />
      <Choice
        label="How much of it"
        options={[
          { value: "all", label: "All of it" },
          { value: "half", label: "Half of it" },
        ]}
        value={window.room}
        onChange={(room) => put(i, { room })}
      />
      <Amount
        label="Taking turns"
        value={window.turns}
        least={1}
        most={6}
        show={(n) => (n === 1 ? "no" : `${n} of them`)}
        onChange={(turns) => put(i, { turns })}
      />
      <Button
        label={`Remove the window of ${place.name} at ${clock(window.opens, start)}`}
        short="Remove this window"
        icon="remove"
        onPress={() => onChange(place.windows.filter((_, k) => k !== i))}
      />
    </View>
  ));
}

interface EndsProps {
  start: Start;
  name: string;
  window: VenueWindow;
  onChange: (ends: Pick<VenueWindow, "opens" | "closes">) => void;
}

function Ends({ start, name, window, onChange }: EndsProps) {
  const startsAt = Date.parse(start.startsAt);
  // Minutes from the start: an hour more than the time available, and a little beyond the start.
  const minutes = (instant: string) => Math.round((Date.parse(instant) - startsAt) / MINUTE_MS);
  const instant = (m: number) => new Date(startsAt + m * MINUTE_MS).toISOString();
  const from = minutes(window.opens);
  const to = minutes(window.closes);
  const least = Math.min(minutes(start.readyAt) - 60, from);
  const most = Math.max(30, to);
  const type = (which: "opens" | "closes") => (time: string) =>
    onChange({
      opens: window.opens,
      closes: window.closes,
      [which]: nearestInstant(time, start.zone, window[which]),
    });
  return (
    <>
      <RangePair
        labels={[`${name} opens`, `${name} closes`]}
        value={[from, to]}
        least={least}
        most={most}
        step={1}
        words={(m) => clock(instant(m), start)}
        onChange={([a, b]) => onChange({ opens: instant(a), closes: instant(b) })}
      />
      <View className="flex-row gap-3">
        <View className="flex-1">
          <ClockField label="Opens" time={clock(window.opens, start)} onChange={type("opens")} />
        </View>
        <View className="flex-1">
          <ClockField
            label="Closes"
            time={clock(window.closes, start)}
            error={to <= from ? "It closes before it opens: change one of the two." : undefined}
            onChange={type("closes")}
          />
        </View>
      </View>
    </>
  );
}

interface ClockFieldProps {
  label: string;
  /** `HH:MM` on the venue's clock. */
  time: string;
  error?: string | undefined;
  onChange: (time: string) => void;
}

/** A time of the venue's clock; handed on as soon as it is one. */
function ClockField({ label, time, error, onChange }: ClockFieldProps) {
  const [typed, setTyped] = useState<string | null>(null);
  return (
    <Field
      label={label}
      type="time"
      value={typed ?? time}
      error={typed === "" ? "Give a time, like 14:30." : error}
      onChange={(event) => {
        const next = event.currentTarget.value;
        if (!/^\d\d:\d\d$/.test(next)) {
          setTyped(next);
          return;
        }
        setTyped(null);
        onChange(next);
      }}
    />
  );
}

function clock(instant: string, start: Start): string {
  return wallClock(instant, start.zone).time;
}

const TEN = 10 * MINUTE_MS;

/** A window of ten minutes: after the last one, or half an hour before the start. */
export function newWindow(start: Start, windows: readonly VenueWindow[]): VenueWindow {
  const last = Math.max(Date.parse(start.startsAt) - 4 * TEN, ...windows.map((w) => Date.parse(w.closes)));
  const opens = new Date(last + TEN);
  const closes = new Date(last + 2 * TEN);
  return { opens: opens.toISOString(), closes: closes.toISOString(), room: "all", turns: 1 };
}
