import { noteSchema, type Rung, rungSchema } from "@tonodrome/core";
import { View } from "react-native";
import { PlainDoseEditor, PlainKindChoice } from "~/features/dose/kinds/PlainDoseEditor";
import { Intensity, Seconds } from "~/features/fields/fields";
import { Button } from "~/ui/Button";
import { Choice } from "~/ui/fields/Choice";
import { TextEdit } from "~/ui/fields/TextEdit";
import { words } from "~/ui/words";
import { useScales } from "./scales";

interface RungEditorProps {
  rung: Rung;
  first: boolean;
  last: boolean;
  only: boolean;
  onChange: (change: Partial<Rung>) => void;
  onMove: (by: -1 | 1) => void;
  onCopy: () => void;
  onRemove: () => void;
}

/** One rung, opened in its place. */
export function RungEditor({ rung, first, last, only, onChange, onMove, onCopy, onRemove }: RungEditorProps) {
  return (
    <View className="mb-3 gap-3 border-l-4 border-press py-2 pl-3">
      <ScaleChoice rung={rung} onChange={onChange} />
      <TextEdit
        label="What it is"
        value={rung.label}
        check={rungSchema.shape.label}
        onChange={(label) => onChange({ label })}
      />
      <Intensity value={rung.intensity} onChange={(intensity) => onChange({ intensity })} />
      <PlainKindChoice dose={rung.dose} onChange={(dose) => onChange({ dose })} />
      <PlainDoseEditor dose={rung.dose} onChange={(dose) => onChange({ dose })} />
      <Seconds
        label={words.restAfterIt}
        value={rung.restSeconds}
        least={0}
        most={1200}
        step={rung.restSeconds >= 60 ? 15 : 5}
        onChange={(restSeconds) => onChange({ restSeconds })}
      />
      <TextEdit
        label={words.focus}
        value={rung.focus}
        check={noteSchema}
        onChange={(focus) => onChange({ focus })}
      />
      <View className="flex-row flex-wrap gap-2">
        <Button label="Rung earlier" short="Earlier" icon="up" disabled={first} onPress={() => onMove(-1)} />
        <Button label="Rung later" short="Later" icon="down" disabled={last} onPress={() => onMove(1)} />
        <Button label="Copy the rung" short="Copy" icon="copy" onPress={onCopy} />
        <Button label="Remove the rung" short="Remove" icon="remove" disabled={only} onPress={onRemove} />
      </View>
    </View>
  );
}

/** The athlete's own steps to choose from, with the effort and the chance they carry. */
function ScaleChoice({ rung, onChange }: Pick<RungEditorProps, "rung" | "onChange">) {
  const scales = useScales();
  const items = scales.flatMap((scale) => scale.items);
  if (items.length === 0) return null;
  return (
    <Choice
      label="On the athlete's scales"
      options={items.map((item) => ({ value: item.name, label: item.name }))}
      value={rung.label}
      onChange={(name) => {
        const item = items.find((i) => i.name === name);
        if (!item) return;
        const { chancePercent: _, ...rest } = rung;
        const chance = item.chancePercent === null ? {} : { chancePercent: item.chancePercent };
        onChange({ ...rest, label: item.name, intensity: item.intensity, ...chance });
      }}
    />
  );
}
