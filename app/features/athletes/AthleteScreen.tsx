import {
  type AgeBand,
  type ApproachId,
  type AthleteProfile,
  ageBandSchema,
  approachIdSchema,
  approachName,
  nameSchema,
  tolerant,
} from "@tonodrome/core";
import { type Athlete, athleteWriteSchema, type ClubEvent } from "@tonodrome/core/api";
import { useState } from "react";
import { View } from "react-native";
import { useMay } from "~/data/account/useAccount";
import { ApiFailure } from "~/data/client/api";
import { useAthletes, useSaveAthlete } from "~/data/resources/athletes";
import { useEvents } from "~/data/resources/events";
import { Amount } from "~/features/fields/fields";
import { Button } from "~/ui/Button";
import { Choice } from "~/ui/fields/Choice";
import { Field } from "~/ui/fields/Field";
import { MultiChoice } from "~/ui/fields/MultiChoice";
import { Select } from "~/ui/fields/Select";
import { TextEdit } from "~/ui/fields/TextEdit";
import { WordsField } from "~/ui/fields/WordsField";
import { Loaded } from "~/ui/layout/Loading";
import { Notice } from "~/ui/layout/Notice";
import { Screen } from "~/ui/layout/Screen";
import { Section } from "~/ui/layout/Section";
import { words } from "~/ui/words";
import { ProtectedAreas } from "./ProtectedAreas";
import { ScalesFields } from "./ScalesFields";

const UNKNOWN = "unknown";

const AGES: Record<AgeBand, string> = {
  "under-10": "Under 10",
  "10-12": "10 to 12",
  "13-15": "13 to 15",
  "16-18": "16 to 18",
  adult: "Adult",
  masters: "Masters",
};

/** What the club knows of one athlete. */
export function AthleteScreen({ id }: { id: string }) {
  const athletes = useAthletes();
  const events = useEvents();
  const athlete = athletes.data?.find((a) => a.id === id);
  return (
    <Screen title={athlete?.name ?? words.athlete} back="/club">
      <Loaded query={athletes}>
        {() =>
          athlete ? (
            <Profile key={athlete.id} athlete={athlete} events={events.data ?? []} />
          ) : (
            <Notice text="This athlete is not in the club any more." />
          )
        }
      </Loaded>
    </Screen>
  );
}

/** Below this nobody starts, years. */
const YOUNGEST_AGE = 3;

function Profile({ athlete, events }: { athlete: Athlete; events: readonly ClubEvent[] }) {
  const mayBuild = useMay("build");
  const save = useSaveAthlete();
  const [draft, setDraft] = useState({ name: athlete.name, profile: athlete.profile });
  const [base, setBase] = useState(athlete.version);
  const [fault, setFault] = useState<string | null>(null);
  const { profile } = draft;
  const change = (more: Partial<AthleteProfile>) => setDraft({ ...draft, profile: { ...profile, ...more } });
  const isStale = save.error instanceof ApiFailure && save.error.code === "version_conflict";
  const submit = (version: number) => {
    const write = tolerant(athleteWriteSchema).safeParse({ version, ...draft });
    setFault(write.error?.issues[0]?.message ?? null);
    if (write.success)
      save.mutate({ id: athlete.id, write: write.data }, { onSuccess: (saved) => setBase(saved.version) });
  };
  return (
    <View className="gap-6">
      <Section title="Who">
        <TextEdit
          label={words.name}
          value={draft.name}
          check={nameSchema}
          onChange={(name) => setDraft({ ...draft, name })}
        />
        <Choice
          named
          label={words.age}
          options={[
            ...ageBandSchema.options.map((value) => ({ value, label: AGES[value] })),
            { value: UNKNOWN, label: "Not said" },
          ]}
          value={profile.ageBand ?? UNKNOWN}
          onChange={(age) => change({ ageBand: age === UNKNOWN ? null : age })}
        />
        <Amount
          label="Age in years, if known"
          value={profile.ageYears ?? YOUNGEST_AGE - 1}
          least={YOUNGEST_AGE - 1}
          most={99}
          show={(n) => (n < YOUNGEST_AGE ? "not said" : String(n))}
          onChange={(years) => change({ ageYears: years < YOUNGEST_AGE ? null : years })}
        />
        <Choice
          named
          label={words.betterSide}
          options={[
            { value: "left", label: "Left" },
            { value: "right", label: "Right" },
            { value: UNKNOWN, label: "Not said" },
          ]}
          value={profile.dominantSide ?? UNKNOWN}
          onChange={(side) => change({ dominantSide: side === UNKNOWN ? null : side })}
        />
      </Section>
      <Section title="Sore or protected">
        <ProtectedAreas
          areas={profile.protectedAreas}
          onChange={(protectedAreas) => change({ protectedAreas })}
        />
      </Section>
      <Section title="Scales, easy to hard">
        <ScalesFields scales={profile.scales} onChange={(scales) => change({ scales })} />
      </Section>
      <Section title="Events they enter">
        {events.length > 0 ? (
          <MultiChoice
            label={words.events}
            options={events
              .filter((e) => !e.archived || profile.eventIds.includes(e.id))
              .map((e) => ({ value: e.id, label: e.name }))}
            values={profile.eventIds}
            onChange={(eventIds) => change({ eventIds })}
          />
        ) : null}
        <Select
          label="How they like to warm up"
          options={[
            { value: "", label: "No approach of their own" },
            ...approachIdSchema.options.map((id) => ({ value: id, label: approachName(id) })),
          ]}
          value={profile.approach ?? ""}
          onChange={(value) => change({ approach: value === "" ? null : (value as ApproachId) })}
        />
        <WordsField
          label="Equipment of their own"
          words={profile.equipment}
          onChange={(equipment) => change({ equipment })}
        />
      </Section>
      <Section title="Training">
        <Amount
          label="Usual session, minutes"
          value={profile.usualMinutes}
          least={0}
          most={600}
          step={10}
          show={(n) => (n === 0 ? "?" : String(n))}
          onChange={(usualMinutes) => change({ usualMinutes })}
        />
        <Amount
          label="Usual session, repetitions"
          value={profile.usualReps}
          least={0}
          most={2000}
          step={10}
          show={(n) => (n === 0 ? "?" : String(n))}
          onChange={(usualReps) => change({ usualReps })}
        />
        <Choice
          named
          label="Training lately"
          options={[
            { value: "little", label: "Less than usual" },
            { value: "usual", label: words.asUsual },
            { value: "much", label: "More than usual" },
          ]}
          value={profile.recentLoad}
          onChange={(recentLoad) => change({ recentLoad })}
        />
        <Field
          label="Notes"
          value={profile.notes}
          maxLength={1000}
          onChange={(e) => change({ notes: e.currentTarget.value })}
        />
      </Section>
      {fault ? <Notice warn text={fault} /> : null}
      {save.error ? (
        <Notice
          warn
          text={`${save.error.message} What you changed is still here.`}
          actions={isStale ? [{ label: words.putMineOverIt, onPress: () => submit(athlete.version) }] : []}
        />
      ) : null}
      {save.isSuccess ? <Notice text="Saved." /> : null}
      {mayBuild ? (
        <View className="sticky bottom-0 bg-paper py-2">
          <Button
            label={save.isPending ? "Saving …" : "Save"}
            look="full"
            disabled={save.isPending}
            onPress={() => submit(base)}
          />
        </View>
      ) : null}
    </View>
  );
}
