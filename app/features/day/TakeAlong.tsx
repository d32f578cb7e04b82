import { dayFileText, USUAL_TRAVEL } from "@tonodrome/core/day";
import { useState } from "react";
import { Text, View } from "react-native";
import { timeNow } from "~/data/client/clock";
import { saveFile } from "~/data/device/saveFile";
import { Button } from "~/ui/Button";
import { Notice } from "~/ui/layout/Notice";
import { Section } from "~/ui/layout/Section";
import type { DayModel } from "./useDay";

/** The day as a file: for a calendar, or whole. */
export function TakeAlong({ model: { start, frame, plans, version } }: { model: DayModel }) {
  const [failure, setFailure] = useState<string | null>(null);
  const title = `${start.athlete.name}, ${start.title}`;
  const calendar = async () => {
    setFailure(null);
    try {
      // The library is loaded when a calendar is asked for.
      const { dayCalendar } = await import("@tonodrome/core/calendar");
      const text = dayCalendar({
        ...frame,
        id: start.id,
        title,
        venue: start.venue,
        sequence: version,
        madeAt: new Date(timeNow()).toISOString(),
      });
      if (text) saveFile(`${title}.ics`, "text/calendar", text);
    } catch {
      setFailure(
        "The calendar could not be made: the part of the application that writes it cannot be reached.",
      );
    }
  };
  const whole = () => {
    const day = { ...frame, steps: [...frame.steps], id: start.id, title, venue: start.venue };
    saveFile(`${title}.json`, "application/json", dayFileText({ ...day, travel: USUAL_TRAVEL }));
  };
  return (
    <Section title="Take it along">
      <Text className="font-text text-body text-ink">
        A calendar calls by itself when to leave and when to begin. Brought in again after the start moved,
        the same entries move.
      </Text>
      <View className="flex-row flex-wrap gap-2">
        <Button label="Calendar file" disabled={!plans.usual.holds} onPress={() => void calendar()} />
        <Button label="Day file" onPress={whole} />
      </View>
      {plans.usual.holds ? null : <Notice text="There is no calendar of a day that cannot hold together." />}
      {failure ? <Notice warn text={failure} /> : null}
    </Section>
  );
}
