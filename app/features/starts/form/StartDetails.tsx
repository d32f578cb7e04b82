import { nameSchema, noteSchema, wordsOf } from "@tonodrome/core";
import type { Start } from "@tonodrome/core/api";
import { View } from "react-native";
import { useKitThere } from "~/data/day/useKitThere";
import { useAthletes } from "~/data/resources/athletes";
import { useDrills } from "~/data/resources/drills";
import { useEvents } from "~/data/resources/events";
import { useStartDraft } from "~/data/starts/useStartDraft";
import { Select } from "~/ui/fields/Select";
import { TextEdit } from "~/ui/fields/TextEdit";
import { words } from "~/ui/words";
import { CopyWeather } from "./CopyWeather";
import { EventChoice } from "./EventChoice";
import { SavedLine } from "./SavedLine";
import { SettingFields } from "./SettingFields";
import { StartDeeds } from "./StartDeeds";
import { WhenFields } from "./WhenFields";

const NONE: readonly string[] = [];

function fieldsOf({ startsAt, readyAt, listedAt, zone, title, venue, eventId, setting, athlete }: Start) {
  return { title, venue, eventId, setting, startsAt, readyAt, listedAt, zone, athleteId: athlete.id };
}

/** Everything a start is besides its warm-up: what, who, when, where, what there is on the day; and to copy or delete it. */
export function StartDetails({ start }: { start: Start }) {
  const { draft, change, state, save } = useStartDraft(start, fieldsOf);
  const shelf = useDrills().data ?? [];
  const athletes = useAthletes().data ?? [];
  const event = useEvents().data?.find((e) => e.id === draft.eventId);
  const kit = event?.kit ?? NONE;
  const kitThere = useKitThere({ id: start.id, setting: draft.setting }, kit);
  return (
    <View className="gap-4">
      <SavedLine state={state} save={save} />
      <TextEdit
        label={words.event}
        value={draft.title}
        check={nameSchema}
        onChange={(title) => change({ title })}
      />
      {athletes.length > 0 ? (
        <Select
          label={words.athlete}
          options={athletes.map((a) => ({ value: a.id, label: a.name }))}
          value={draft.athleteId}
          onChange={(athleteId) => change({ athleteId })}
        />
      ) : null}
      <WhenFields start={draft} onChange={change} />
      <TextEdit
        label={words.venue}
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
        kit={kit}
        kitThere={kitThere}
        others={athletes.filter((a) => a.id !== draft.athleteId)}
        afterWeather={<CopyWeather start={start} setting={draft.setting} />}
      />
      <StartDeeds start={start} />
    </View>
  );
}
