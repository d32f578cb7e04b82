import { cutText, LONGEST_NAME } from "@tonodrome/core";
import { type Start, USUAL_AVAILABLE_MINUTES } from "@tonodrome/core/api";
import { useRouter } from "expo-router";
import { useState } from "react";
import { View } from "react-native";
import { useCreateStart, useDeleteStart } from "~/data/resources/starts";
import { Button } from "~/ui/Button";
import { Notice } from "~/ui/layout/Notice";
import { words } from "~/ui/words";

/** So long after a start the next round is proposed, milliseconds. Custom. */
const NEXT_ROUND = 2 * 3_600_000;

/** Copies a start with its warm-up, or deletes it: what goes with it is said first, and it can be taken back for a minute. */
export function StartDeeds({ start }: { start: Start }) {
  const router = useRouter();
  const copy = useCreateStart();
  const remove = useDeleteStart();
  const [asking, setAsking] = useState(false);
  const failure = copy.error ?? remove.error;

  function copyIt() {
    const { title, venue, zone, startsAt, readyAt, eventId, setting, athlete } = start;
    const what = { title, venue, zone, startsAt, readyAt, eventId, setting, athleteId: athlete.id };
    copy.mutate(
      { ...what, planOf: start.id },
      { onSuccess: ({ id }) => router.replace(`/start/${id}?sheet=start`) },
    );
  }

  /** Another round later on the day, as far as they get there; its re-warm is built from what is left of this one. */
  function nextRound() {
    const { title, venue, zone, startsAt, eventId, setting, athlete } = start;
    const later = (instant: string, by: number) => new Date(Date.parse(instant) + by).toISOString();
    const at = later(startsAt, NEXT_ROUND);
    copy.mutate(
      {
        ...{
          title: cutText(`${title}, next round`, LONGEST_NAME),
          venue,
          zone,
          eventId,
          athleteId: athlete.id,
        },
        ...{
          startsAt: at,
          readyAt: later(at, -USUAL_AVAILABLE_MINUTES * 60_000),
          setting: { ...setting, ifThrough: true },
        },
      },
      { onSuccess: ({ id }) => router.replace(`/start/${id}?sheet=start&fill=first`) },
    );
  }

  return (
    <View className="gap-2 border-t-2 border-line pt-4">
      {failure ? <Notice warn text={failure.message} /> : null}
      <Button
        label={start.order ? `${words.runningOrder}, number ${start.order.number}` : "Follow a running order"}
        onPress={() => router.push(start.order ? `/order/${start.order.id}` : `/order/of/${start.id}`)}
      />
      <Button
        label={copy.isPending ? "Copying …" : "Copy this start and its warm-up"}
        disabled={copy.isPending}
        onPress={copyIt}
      />
      <Button label="Add the next round, if through" disabled={copy.isPending} onPress={nextRound} />
      {asking ? (
        <Notice
          warn
          text={`${start.athlete.name}, ${start.title}: its warm-up with all its versions and its links go with it. Runs of it stay in the log.`}
          actions={[
            {
              label: remove.isPending ? "Deleting …" : "Delete it",
              onPress: () => remove.mutate(start, { onSuccess: () => router.replace("/") }),
            },
            { label: words.keepIt, onPress: () => setAsking(false) },
          ]}
        />
      ) : (
        <Button label="Delete this start" icon="remove" onPress={() => setAsking(true)} />
      )}
    </View>
  );
}
