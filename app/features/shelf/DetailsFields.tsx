import {
  type DrillDetails,
  LINKS,
  type LinkName,
  noteSchema,
  type Phase,
  tagSchema,
  wordsOf,
} from "@tonodrome/core";
import type { ShelfDrill } from "@tonodrome/core/api";
import { View } from "react-native";
import { z } from "zod";
import { Amount, Percent } from "~/features/fields/fields";
import { Choice } from "~/ui/fields/Choice";
import { MultiChoice } from "~/ui/fields/MultiChoice";
import { Select } from "~/ui/fields/Select";
import { TextEdit } from "~/ui/fields/TextEdit";
import { WordsField } from "~/ui/fields/WordsField";
import { words } from "~/ui/words";
import { CalledFields } from "./CalledFields";
import {
  AREA_OPTIONS,
  DISTANCE_OPTIONS,
  FLAG_OPTIONS,
  PURPOSE_OPTIONS,
  REALISM_OPTIONS,
} from "./detailWords";

const LINK_LABELS: Record<LinkName, string> = {
  easier: "An easier one",
  harder: "A harder one",
  instead: "Another of the same purpose",
};

const NONE = "none";
const spaceSchema = z.union([z.literal(""), tagSchema]);

interface DetailsFieldsProps {
  details: DrillDetails;
  onChange: (details: DrillDetails) => void;
  phase: Phase;
  /** The shelf: its words are offered, and its drills as alternatives. */
  shelf: readonly ShelfDrill[];
  /** The drill itself, which is no alternative to itself. */
  drillId: string | null;
}

/** What a coach knows of a drill besides its dose. */
export function DetailsFields({ details, onChange, phase, shelf, drillId }: DetailsFieldsProps) {
  const change = (more: Partial<DrillDetails>) => onChange({ ...details, ...more });
  const cue = (more: Partial<DrillDetails["cues"]>) => change({ cues: { ...details.cues, ...more } });
  const others = shelf.filter((d) => d.id !== drillId && d.phase === phase && !d.archived);
  return (
    <View className="gap-4">
      <MultiChoice
        label="What it is for"
        options={PURPOSE_OPTIONS}
        values={details.purposes}
        onChange={(purposes) => (purposes.length <= 4 ? change({ purposes }) : undefined)}
      />
      <MultiChoice
        label={words.warms}
        options={AREA_OPTIONS}
        values={details.areas}
        onChange={(areas) => change({ areas })}
      />
      <MultiChoice
        label="Loads"
        options={AREA_OPTIONS}
        values={details.loads}
        onChange={(loads) => change({ loads })}
      />
      <WordsField
        label="Prepares these actions"
        words={details.actions}
        known={wordsOf(shelf, (d) => d.actions)}
        most={12}
        onChange={(actions) => change({ actions })}
      />
      <WordsField
        label="Equipment it needs"
        words={details.equipment}
        known={wordsOf(shelf, (d) => d.equipment)}
        most={12}
        onChange={(equipment) => change({ equipment })}
      />
      <TextEdit
        label="Space it needs"
        value={details.space}
        check={spaceSchema}
        onChange={(space) => change({ space })}
      />
      <Amount
        label="People it takes"
        value={details.people}
        least={1}
        most={12}
        onChange={(people) => change({ people })}
      />
      <Percent
        label="Intensity range, from"
        value={details.intensityFrom}
        least={0}
        most={details.intensityTo}
        onChange={(intensityFrom) => change({ intensityFrom })}
      />
      <Percent
        label="Intensity range, to"
        value={details.intensityTo}
        least={details.intensityFrom}
        most={100}
        onChange={(intensityTo) => change({ intensityTo })}
      />
      <Choice
        named
        label="How real it is"
        options={[{ value: NONE, label: "Not graded" }, ...REALISM_OPTIONS]}
        value={details.realism ?? NONE}
        onChange={(realism) => change({ realism: realism === NONE ? null : realism })}
      />
      <Choice
        named
        label={words.distance}
        options={[{ value: NONE, label: "No distance" }, ...DISTANCE_OPTIONS]}
        value={details.distance ?? NONE}
        onChange={(distance) => change({ distance: distance === NONE ? null : distance })}
      />
      <TextEdit label="See" value={details.cues.see} check={noteSchema} onChange={(see) => cue({ see })} />
      <TextEdit
        label="Feel"
        value={details.cues.feel}
        check={noteSchema}
        onChange={(feel) => cue({ feel })}
      />
      <TextEdit
        label="Listen for"
        value={details.cues.listen}
        check={noteSchema}
        onChange={(listen) => cue({ listen })}
      />
      <WordsField
        label="Common faults"
        words={details.faults}
        most={6}
        longest={200}
        onChange={(faults) => change({ faults })}
      />
      <WordsField
        label="Cautions"
        words={details.cautions}
        most={4}
        longest={200}
        onChange={(cautions) => change({ cautions })}
      />
      <Amount
        label="Minimum age"
        value={details.leastAge}
        least={0}
        most={99}
        show={(n) => (n === 0 ? "any" : String(n))}
        onChange={(leastAge) => change({ leastAge })}
      />
      <CalledFields called={details.called} onChange={(called) => change({ called })} />
      <MultiChoice
        label="Details"
        options={FLAG_OPTIONS}
        values={details.flags}
        onChange={(flags) => change({ flags })}
      />
      {LINKS.map((link) => (
        <Select
          key={link}
          label={LINK_LABELS[link]}
          options={[
            { value: "", label: "None" },
            ...linkedFirst(others, shelf, details[link]).map((d) => ({ value: d.id, label: d.name })),
          ]}
          value={details[link] ?? ""}
          onChange={(id) => change({ [link]: id === "" ? null : id })}
        />
      ))}
    </View>
  );
}

/** The drills to choose from, with the one that is chosen whatever part it belongs to. */
function linkedFirst(others: ShelfDrill[], shelf: readonly ShelfDrill[], id: string | null): ShelfDrill[] {
  const chosen = shelf.find((d) => d.id === id);
  return chosen && !others.includes(chosen) ? [chosen, ...others] : others;
}
