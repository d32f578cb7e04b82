import type { DayFrame } from "@tonodrome/core/day";
import { useState } from "react";
import { View } from "react-native";
import { timeNow } from "~/data/client/clock";
import { saveFile } from "~/data/device/saveFile";
import { Button } from "~/ui/Button";
import { Notice } from "~/ui/layout/Notice";

interface CalendarFileProps {
  frame: DayFrame;
  /** Whether the day can hold together. */
  isPossible: boolean;
  of: { id: string; title: string; venue: string; sequence: number };
}

/** The day as a file for a calendar, which calls by itself when to leave and when to begin. */
export function CalendarFile({ frame, isPossible, of }: CalendarFileProps) {
  const [failure, setFailure] = useState<string | null>(null);
  const make = async () => {
    setFailure(null);
    try {
      // The library is loaded when a calendar is asked for.
      const { dayCalendar } = await import("@tonodrome/core/calendar");
      const text = dayCalendar({ ...frame, ...of, madeAt: new Date(timeNow()).toISOString() });
      if (text) saveFile(`${of.title}.ics`, "text/calendar", text);
    } catch {
      setFailure(
        "The calendar could not be made: the part of the application that writes it cannot be reached.",
      );
    }
  };
  return (
    <View className="gap-2">
      <Button label="Calendar file" disabled={!isPossible} onPress={() => void make()} />
      {isPossible ? null : <Notice text="There is no calendar of a day that cannot hold together." />}
      {failure ? <Notice warn text={failure} /> : null}
    </View>
  );
}
