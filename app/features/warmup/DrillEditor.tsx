import {
  type DrillContent,
  nameSchema,
  noteSchema,
  PHASES,
  type Placement,
  type PlanItem,
  PRIORITIES,
  phaseName,
  type SteepStep,
} from "@tonodrome/core";
import { useState } from "react";
import { Text, View } from "react-native";
import { DoseEditor } from "~/features/dose/DoseEditor";
import { Choice } from "~/ui/Choice";
import { Field } from "~/ui/Field";
import { Notice } from "~/ui/Notice";
import { Stepper } from "~/ui/Stepper";

interface DrillEditorProps {
  placement: Placement;
  steep: SteepStep | null;
  /** Why it was given up, when it was. */
  reason: string | null;
  /** What the shelf has of it by now, where that is something else. */
  onShelf: DrillContent | null;
  onChange: (change: Partial<PlanItem>) => void;
}

const PHASE_OPTIONS = PHASES.map((value) => ({ value, label: phaseName(value) }));
const PRIORITY_OPTIONS = PRIORITIES.map((value) => ({
  value,
  label: `${value[0]?.toUpperCase() ?? ""}${value.slice(1)}`,
}));

/** One drill of the plan: its dose, intensity, priority, focus and place in the order. */
export function DrillEditor({ placement, steep, reason, onShelf, onChange }: DrillEditorProps) {
  const { item } = placement;
  const intensity = (by: number) => onChange({ intensity: Math.min(100, Math.max(0, item.intensity + by)) });
  return (
    <View className="gap-4">
      {steep ? (
        <Notice
          warn
          text={`This is ${steep.rise} points up from the technical drill before it, more than the plan allows. One of the two is left out until there is a drill between them.`}
        />
      ) : null}
      {reason ? <Notice text={reason} /> : null}
      {onShelf ? (
        <Notice
          text="On the shelf this drill reads otherwise by now. Here it stays as it is."
          actions={[{ label: "Take the shelf's", onPress: () => onChange(onShelf) }]}
        />
      ) : null}
      <Stepper
        label="Intensity"
        value={`${item.intensity} %`}
        onLess={() => intensity(-5)}
        onMore={() => intensity(5)}
        atLeast={item.intensity <= 0}
        atMost={item.intensity >= 100}
      />
      <View className="gap-1">
        <Text className="font-text text-body text-ink">When time is short</Text>
        <Choice
          label="Priority"
          options={PRIORITY_OPTIONS}
          value={item.priority}
          onChange={(priority) => onChange({ priority })}
        />
      </View>
      <DoseEditor dose={item.dose} onChange={(dose) => onChange({ dose })} />
      <TextEdit
        key={`focus-${item.id}`}
        label="One thing to attend to"
        value={item.focus}
        check={noteSchema}
        onChange={(focus) => onChange({ focus })}
      />
      <TextEdit
        key={`name-${item.id}`}
        label="Name in this plan"
        value={item.name}
        check={nameSchema}
        onChange={(name) => onChange({ name })}
      />
      <TextEdit
        key={`place-${item.id}`}
        label="Place"
        value={item.place}
        check={noteSchema}
        onChange={(place) => onChange({ place })}
      />
      <View className="gap-1">
        <Text className="font-text text-body text-ink">Phase</Text>
        <Choice
          label="Phase"
          options={PHASE_OPTIONS}
          value={item.phase}
          onChange={(phase) => onChange({ phase })}
        />
      </View>
    </View>
  );
}

interface TextEditProps {
  label: string;
  value: string;
  check: typeof nameSchema | typeof noteSchema;
  onChange: (value: string) => void;
}

/** A text that only reaches the plan while it is one the plan can hold; until then its fault is said. */
function TextEdit({ label, value, check, onChange }: TextEditProps) {
  const [text, setText] = useState(value);
  const [told, setTold] = useState(value);
  // Changed by something else, such as undo or the shelf's version: what was typed here is not it any more.
  if (value !== told) {
    setTold(value);
    setText(value);
  }
  const answer = check.safeParse(text);
  return (
    <Field
      label={label}
      value={text}
      error={answer.error?.issues[0]?.message}
      onChange={(event) => {
        const next = event.currentTarget.value;
        setText(next);
        const { data } = check.safeParse(next);
        if (data === undefined) return;
        setTold(data);
        onChange(data);
      }}
    />
  );
}
