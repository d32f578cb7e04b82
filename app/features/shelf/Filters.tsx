import { type DrillFilter, noFilter, wordsOf } from "@tonodrome/core";
import type { ShelfDrill } from "@tonodrome/core/api";
import { View } from "react-native";
import { Amount, Percent } from "~/features/fields/fields";
import { Button } from "~/ui/Button";
import { Choice } from "~/ui/fields/Choice";
import { MultiChoice } from "~/ui/fields/MultiChoice";
import { words } from "~/ui/words";
import {
  AREA_OPTIONS,
  DISTANCE_OPTIONS,
  FLAG_OPTIONS,
  PURPOSE_OPTIONS,
  REALISM_OPTIONS,
} from "./detailWords";

const ANY = "any";
const wordOptions = (list: string[]) => list.map((value) => ({ value, label: value }));

interface FiltersProps {
  drills: readonly ShelfDrill[];
  filter: DrillFilter;
  onChange: (filter: DrillFilter) => void;
}

/** Everything the shelf can be narrowed down by. */
export function Filters({ drills, filter, onChange }: FiltersProps) {
  const change = (more: Partial<DrillFilter>) => onChange({ ...filter, ...more });
  const equipment = wordsOf(drills, (d) => d.equipment);
  const spaces = wordsOf(drills, (d) => [d.space]);
  const actions = wordsOf(drills, (d) => d.actions);
  return (
    <View className="gap-4">
      <Button label="Show everything" onPress={() => onChange({ ...noFilter(), words: filter.words })} />
      <MultiChoice
        label="For"
        options={PURPOSE_OPTIONS}
        values={filter.purposes}
        onChange={(purposes) => change({ purposes })}
      />
      <MultiChoice
        label={words.warms}
        options={AREA_OPTIONS}
        values={filter.areas}
        onChange={(areas) => change({ areas })}
      />
      <MultiChoice
        label="Does not load"
        options={AREA_OPTIONS}
        values={filter.spares}
        onChange={(spares) => change({ spares })}
      />
      {actions.length > 0 ? (
        <MultiChoice
          label="Prepares"
          options={wordOptions(actions)}
          values={filter.actions}
          onChange={(next) => change({ actions: next })}
        />
      ) : null}
      {spaces.length > 0 ? (
        <MultiChoice
          label="Space"
          options={wordOptions(spaces)}
          values={filter.spaces}
          onChange={(next) => change({ spaces: next })}
        />
      ) : null}
      {equipment.length > 0 ? (
        <MultiChoice
          label={words.equipment}
          options={wordOptions(equipment)}
          values={filter.equipment}
          onChange={(next) => change({ equipment: next })}
        />
      ) : null}
      <Amount
        label="People at most"
        value={filter.people ?? 12}
        least={1}
        most={12}
        show={(n) => (n === 12 ? "any" : String(n))}
        onChange={(people) => change({ people: people === 12 ? null : people })}
      />
      <Amount
        label={words.age}
        value={filter.age ?? 0}
        least={0}
        most={25}
        show={(n) => (n === 0 ? "any" : String(n))}
        onChange={(age) => change({ age: age === 0 ? null : age })}
      />
      <Percent
        label="Intensity from"
        value={filter.intensityFrom}
        least={0}
        most={filter.intensityTo}
        step={10}
        onChange={(intensityFrom) => change({ intensityFrom })}
      />
      <Percent
        label="Intensity to"
        value={filter.intensityTo}
        least={filter.intensityFrom}
        most={100}
        step={10}
        onChange={(intensityTo) => change({ intensityTo })}
      />
      <Choice
        named
        label="How real"
        options={[{ value: ANY, label: "Any" }, ...REALISM_OPTIONS]}
        value={filter.realism ?? ANY}
        onChange={(realism) => change({ realism: realism === ANY ? null : realism })}
      />
      <Choice
        named
        label={words.distance}
        options={[{ value: ANY, label: "Any distance" }, ...DISTANCE_OPTIONS]}
        value={filter.distance ?? ANY}
        onChange={(distance) => change({ distance: distance === ANY ? null : distance })}
      />
      <MultiChoice
        label="Details"
        options={FLAG_OPTIONS}
        values={filter.flags}
        onChange={(flags) => change({ flags })}
      />
      {drills.some((d) => d.archived) ? (
        <Choice
          named
          label={words.shelf}
          options={[
            { value: "on", label: "On the shelf" },
            { value: "off", label: "Off the shelf" },
          ]}
          value={filter.archived ? "off" : "on"}
          onChange={(side) => change({ archived: side === "off" })}
        />
      ) : null}
    </View>
  );
}
