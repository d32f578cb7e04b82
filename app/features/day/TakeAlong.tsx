import { dayFileText, USUAL_TRAVEL } from "@tonodrome/core/day";
import { useRouter } from "expo-router";
import { Text } from "react-native";
import { saveFile } from "~/data/device/saveFile";
import { Button } from "~/ui/Button";
import { Section } from "~/ui/layout/Section";
import { words } from "~/ui/words";
import { CalendarFile } from "./CalendarFile";
import type { DayModel } from "./useDay";

/** The day as a file: for a calendar, or whole. */
export function TakeAlong({ model: { start, frame, plans, version } }: { model: DayModel }) {
  const router = useRouter();
  const { id, venue } = start;
  const title = `${start.athlete.name}, ${start.title}`;
  const whole = () => {
    const day = { ...frame, steps: [...frame.steps], id, title, venue };
    saveFile(`${title}.json`, "application/json", dayFileText({ ...day, travel: USUAL_TRAVEL }));
  };
  return (
    <Section title="Export this day">
      <Text className="font-text text-body text-ink">
        A calendar calls by itself when to leave and when to begin. Imported again after the start moved, the
        same entries move.
      </Text>
      <CalendarFile
        frame={frame}
        isPossible={plans.usual.holds}
        of={{ id, title, venue, sequence: version }}
      />
      <Button label={words.printedSheet} onPress={() => router.push(`/sheet/${id}`)} />
      <Button label="Day file" onPress={whole} />
    </Section>
  );
}
