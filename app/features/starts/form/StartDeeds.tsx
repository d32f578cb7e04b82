import type { Start } from "@tonodrome/core/api";
import { useRouter } from "expo-router";
import { useState } from "react";
import { View } from "react-native";
import { useCreateStart, useDeleteStart } from "~/data/resources/starts";
import { Button } from "~/ui/Button";
import { Notice } from "~/ui/layout/Notice";

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

  return (
    <View className="gap-2 border-t-2 border-line pt-4">
      {failure ? <Notice warn text={failure.message} /> : null}
      <Button
        label={copy.isPending ? "Copying …" : "Copy this start and its warm-up"}
        disabled={copy.isPending}
        onPress={copyIt}
      />
      {asking ? (
        <Notice
          warn
          text={`${start.athlete.name}, ${start.title}: its warm-up with all its versions and its links go with it. Runs of it stay in the log.`}
          actions={[
            {
              label: remove.isPending ? "Deleting …" : "Delete it",
              onPress: () => remove.mutate(start, { onSuccess: () => router.replace("/") }),
            },
            { label: "Keep it", onPress: () => setAsking(false) },
          ]}
        />
      ) : (
        <Button label="Delete this start" icon="remove" onPress={() => setAsking(true)} />
      )}
    </View>
  );
}
