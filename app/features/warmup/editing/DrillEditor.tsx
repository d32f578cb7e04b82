import {
  type Finding,
  nameSchema,
  noteSchema,
  PHASES,
  type Placement,
  type PlanItem,
  PRIORITIES,
  phaseName,
  topOf,
} from "@tonodrome/core";
import type { ShelfDrill } from "@tonodrome/core/api";
import { Text, View } from "react-native";
import { DoseEditor } from "~/features/dose/DoseEditor";
import { Intensity } from "~/features/fields/fields";
import { DrillKnowledge } from "~/features/shelf/DrillKnowledge";
import { Choice } from "~/ui/fields/Choice";
import { TextEdit } from "~/ui/fields/TextEdit";
import { Notice } from "~/ui/layout/Notice";
import { words } from "~/ui/words";
import { Alternatives } from "./Alternatives";
import { DrillNotices } from "./DrillNotices";
import { DrillRules } from "./DrillRules";
import { PlaceField } from "./PlaceField";

interface DrillEditorProps {
  placement: Placement;
  /** What there is to look at about it. */
  findings: readonly Finding[];
  onFindings: () => void;
  /** Why it was given up, when it was. */
  reason: string | null;
  /** What the shelf has of it since it was copied, where that is something else. */
  onShelf: Partial<PlanItem> | null;
  drills: readonly ShelfDrill[];
  /** All drills of the plan. */
  others: readonly PlanItem[];
  /** Places that are known of the day. */
  places: readonly string[];
  onSwap: (drill: ShelfDrill) => void;
  onChange: (change: Partial<PlanItem>) => void;
}

const PHASE_OPTIONS = PHASES.map((value) => ({ value, label: phaseName(value) }));
const PRIORITY_OPTIONS = PRIORITIES.map((value) => ({
  value,
  label: `${value[0]?.toUpperCase() ?? ""}${value.slice(1)}`,
}));

/** One drill of the plan: its dose, intensity, priority, focus and place in the order. */
export function DrillEditor({
  placement,
  findings,
  onFindings,
  reason,
  onShelf,
  drills,
  others,
  places,
  onSwap,
  onChange,
}: DrillEditorProps) {
  const { item } = placement;
  return (
    <View className="gap-4">
      <DrillNotices findings={findings} onFindings={onFindings} reason={reason} />
      {onShelf ? (
        <Notice
          text="This drill was changed on the shelf since it was inserted here. Here it stays as it is."
          actions={[{ label: "Take the shelf's", onPress: () => onChange(onShelf) }]}
        />
      ) : null}
      {item.why ? <Text className="font-text text-body text-muted">{item.why}</Text> : null}
      {item.dose.kind === "ladder" ? null : (
        <Intensity value={item.intensity} onChange={(intensity) => onChange({ intensity })} />
      )}
      <View className="gap-1">
        <Text className="font-text text-body text-ink">{words.whenTimeIsShort}</Text>
        <Choice
          label={words.priority}
          options={PRIORITY_OPTIONS}
          value={item.priority}
          onChange={(priority) => onChange({ priority })}
        />
      </View>
      <DoseEditor
        dose={item.dose}
        onChange={(dose) => onChange(dose.kind === "ladder" ? { dose, intensity: topOf(dose) } : { dose })}
      />
      {item.details ? <DrillKnowledge details={item.details} /> : null}
      <Alternatives item={item} drills={drills} onSwap={onSwap} />
      <TextEdit
        key={`focus-${item.id}`}
        label={words.focus}
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
      <DrillRules item={item} others={others} onChange={onChange} />
      <PlaceField
        key={`place-${item.id}`}
        place={item.place}
        known={places}
        onChange={(place) => onChange({ place })}
      />
      <View className="gap-1">
        <Text className="font-text text-body text-ink">{words.phase}</Text>
        <Choice
          label={words.phase}
          options={PHASE_OPTIONS}
          value={item.phase}
          onChange={(phase) => onChange({ phase })}
        />
      </View>
    </View>
  );
}
