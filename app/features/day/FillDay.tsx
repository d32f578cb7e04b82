import type { DayStep } from "@tonodrome/core/day";
import { Text, View } from "react-native";
import { type DaysOf, useKeepUsualDay, useUsualDayOf } from "~/data/resources/days";
import { useEvents } from "~/data/resources/events";
import { Button } from "~/ui/Button";
import { Notice } from "~/ui/layout/Notice";
import { Section } from "~/ui/layout/Section";
import type { DayModel } from "./useDay";

interface FillDayProps {
  model: DayModel;
  onDone: () => void;
}

/** What this day begins with, and what others of the athlete or the event begin with. */
export function FillDay({ model, onDone }: FillDayProps) {
  const { start, beginnings, draft, sameDay } = model;
  // What begins where another start is over is no day for others.
  const isFirst = sameDay[0]?.id === start.id;
  const event = useEvents().data?.find((e) => e.id === start.eventId) ?? null;
  const fill = (steps: readonly DayStep[]) => {
    model.edit(steps);
    onDone();
  };
  return (
    <View className="gap-6">
      <Section title="Fill this day">
        {beginnings.athlete ? (
          <Button
            label={`As ${start.athlete.name} usually has it`}
            onPress={() => beginnings.athlete && fill(beginnings.athlete)}
          />
        ) : null}
        {beginnings.event && event ? (
          <Button
            label={`As ${event.name} usually has it`}
            onPress={() => beginnings.event && fill(beginnings.event)}
          />
        ) : null}
        <Button label="From the start and the event alone" onPress={() => fill(beginnings.usual)} />
      </Section>
      {isFirst ? (
        <Section title="Keep this day for others">
          <Text className="font-text text-body text-ink">
            Its steps stand to the start, so that they hold for any other. Starts whose day was never changed
            follow at once.
          </Text>
          <Keep of="athletes" id={start.athlete.id} name={start.athlete.name} steps={model.frame.steps} />
          {event ? <Keep of="events" id={event.id} name={event.name} steps={model.frame.steps} /> : null}
        </Section>
      ) : null}
      {draft.steps ? (
        <Section title="Back to the usual day">
          <Button
            label="Forget what was changed for this start"
            icon="undo"
            onPress={() => {
              draft.edit(null);
              onDone();
            }}
          />
        </Section>
      ) : null}
    </View>
  );
}

interface KeepProps {
  of: DaysOf;
  id: string;
  name: string;
  steps: readonly DayStep[];
}

/** Keeps the steps as what days of somebody, or of an event, begin with; or forgets what was kept. */
function Keep({ of, id, name, steps }: KeepProps) {
  const kept = useUsualDayOf(of, id);
  const keep = useKeepUsualDay(of, id);
  const write = (next: readonly DayStep[] | null) =>
    kept.data && keep.mutate({ version: kept.data.version, steps: next && [...next] });
  return (
    <View className="gap-2">
      <View className="flex-row flex-wrap gap-2">
        <Button label={`For ${name}`} disabled={!kept.data || keep.isPending} onPress={() => write(steps)} />
        {kept.data?.steps ? (
          <Button
            label={`Forget what ${name} usually has`}
            short="Forget it"
            icon="remove"
            disabled={keep.isPending}
            onPress={() => write(null)}
          />
        ) : null}
      </View>
      {keep.error ? <Notice warn text={keep.error.message} /> : null}
      {keep.isSuccess ? <Notice text={keep.data.steps ? `Kept for ${name}.` : "Forgotten."} /> : null}
    </View>
  );
}
