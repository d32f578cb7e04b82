import { nameSchema, noteSchema, wordsOf } from "@tonodrome/core";
import type { Start } from "@tonodrome/core/api";
import { useState } from "react";
import { View } from "react-native";
import { useDrills } from "~/data/resources/drills";
import { useEvents } from "~/data/resources/events";
import { useSaveStart } from "~/data/resources/starts";
import { Button } from "~/ui/Button";
import { TextEdit } from "~/ui/fields/TextEdit";
import { Notice } from "~/ui/layout/Notice";
import { EventChoice } from "./EventChoice";
import { SettingFields } from "./SettingFields";

/** What is started and what there is on the day. Its time is moved from Today. */
export function StartDetails({ start, onDone }: { start: Start; onDone: () => void }) {
  const save = useSaveStart();
  const shelf = useDrills().data ?? [];
  const [draft, setDraft] = useState({
    title: start.title,
    venue: start.venue,
    eventId: start.eventId,
    setting: start.setting,
  });
  const event = useEvents().data?.find((e) => e.id === draft.eventId);
  const change = (more: Partial<typeof draft>) => setDraft({ ...draft, ...more });
  return (
    <View className="gap-4">
      <TextEdit
        label="What is started"
        value={draft.title}
        check={nameSchema}
        onChange={(title) => change({ title })}
      />
      <TextEdit
        label="Venue"
        value={draft.venue}
        check={noteSchema}
        onChange={(venue) => change({ venue })}
      />
      <EventChoice eventId={draft.eventId} onChange={(eventId) => change({ eventId })} />
      <SettingFields
        setting={draft.setting}
        onChange={(setting) => change({ setting })}
        spaces={wordsOf(shelf, (d) => [d.space])}
        equipment={wordsOf(shelf, (d) => d.equipment)}
        kit={event?.kit ?? []}
      />
      {save.error ? <Notice warn text={`${save.error.message} What you changed is still here.`} /> : null}
      <Button
        label={save.isPending ? "Saving …" : "Save"}
        look="full"
        disabled={save.isPending}
        onPress={() => save.mutate({ start, changes: draft }, { onSuccess: onDone })}
      />
    </View>
  );
}
