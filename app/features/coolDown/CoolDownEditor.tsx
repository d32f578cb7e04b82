import { nameSchema, noteSchema, spokenLength } from "@tonodrome/core";
import type { Start } from "@tonodrome/core/api";
import {
  COOL_DOWN_STEP,
  type CoolDownStep,
  coolDownSeconds,
  coolDownStepOf,
  isForCoolDown,
  MOST_COOL_DOWN_STEPS,
  plainCoolDownStep,
} from "@tonodrome/core/cool-down";
import { Text, View } from "react-native";
import { v4 as uuid } from "uuid";
import { useDrills } from "~/data/resources/drills";
import { Intensity, Seconds } from "~/features/fields/fields";
import { Button } from "~/ui/Button";
import { Select } from "~/ui/fields/Select";
import { TextEdit } from "~/ui/fields/TextEdit";
import { Fold } from "~/ui/layout/Fold";
import { words } from "~/ui/words";
import { useUsualCoolDown } from "./useUsualCoolDown";

interface CoolDownEditorProps {
  start: Start;
  /** As somebody set it; null for what is usual after the event. */
  steps: readonly CoolDownStep[] | null;
  /** Null for somebody who changes nothing. */
  onChange: ((steps: CoolDownStep[] | undefined) => void) | null;
}

/** What follows the start: as usual after its event, until it is changed here. */
export default function CoolDownEditor({ start, steps: own, onChange }: CoolDownEditorProps) {
  const usual = useUsualCoolDown(start, "usual");
  const steps = own ?? usual;
  const whole = spokenLength(coolDownSeconds(steps));
  const change = (id: string, more: Partial<CoolDownStep>) =>
    onChange?.(steps.map((s) => (s.id === id ? { ...s, ...more } : s)));
  return (
    <View className="gap-4">
      <Text className="font-text text-body text-ink" role="status">
        {own
          ? `${whole}, as set here.`
          : `${whole}, as usual after its event. How much it took is asked after the start, and makes it shorter or longer.`}
      </Text>
      <View role="list" aria-label="Steps of the cool-down" className="gap-2">
        {steps.map((step, i) => (
          <View key={step.id} role="listitem">
            {onChange ? (
              <Fold title={`${step.name}, ${spokenLength(step.seconds)}`}>
                <StepFields
                  step={step}
                  onChange={(more) => change(step.id, more)}
                  onMove={(by) => onChange(steps.toSpliced(i, 1).toSpliced(i + by, 0, step))}
                  onRemove={() => onChange(steps.filter((s) => s !== step))}
                  isFirst={i === 0}
                  isLast={i === steps.length - 1}
                />
              </Fold>
            ) : (
              <Text className="font-text text-body text-ink">
                {`${step.name}, ${spokenLength(step.seconds)}, ${step.intensity}\u00a0%`}
              </Text>
            )}
          </View>
        ))}
      </View>
      {onChange ? (
        <>
          {steps.length < MOST_COOL_DOWN_STEPS ? (
            <AddStep onAdd={(step) => onChange([...steps, step])} />
          ) : null}
          {own ? <Button label="Back to the usual one" onPress={() => onChange(undefined)} /> : null}
        </>
      ) : null}
    </View>
  );
}

interface StepFieldsProps {
  step: CoolDownStep;
  onChange: (more: Partial<CoolDownStep>) => void;
  onMove: (by: -1 | 1) => void;
  onRemove: () => void;
  isFirst: boolean;
  isLast: boolean;
}

function StepFields({ step, onChange, onMove, onRemove, isFirst, isLast }: StepFieldsProps) {
  return (
    <View className="gap-3 pb-2">
      <TextEdit
        label={words.name}
        value={step.name}
        check={nameSchema}
        onChange={(name) => onChange({ name })}
      />
      <Seconds
        label="Length"
        value={step.seconds}
        {...COOL_DOWN_STEP}
        step={30}
        onChange={(seconds) => onChange({ seconds })}
      />
      <Intensity value={step.intensity} onChange={(intensity) => onChange({ intensity })} />
      <TextEdit
        label={words.focus}
        value={step.focus}
        check={noteSchema}
        onChange={(focus) => onChange({ focus })}
      />
      <View className="flex-row flex-wrap gap-2">
        <Button label={words.earlier} icon="up" disabled={isFirst} onPress={() => onMove(-1)} />
        <Button label={words.later} icon="down" disabled={isLast} onPress={() => onMove(1)} />
        {/* One without a step would be none. */}
        <Button label={words.remove} icon="remove" disabled={isFirst && isLast} onPress={onRemove} />
      </View>
    </View>
  );
}

const PLAIN = "";

/** A step more: a plain one, or one of the shelf's drills for it. */
function AddStep({ onAdd }: { onAdd: (step: CoolDownStep) => void }) {
  const drills = (useDrills().data ?? []).filter((d) => !d.archived && isForCoolDown(d));
  const addPlain = () => onAdd(plainCoolDownStep(uuid(), 120));
  if (drills.length === 0) return <Button label={words.addAStep} icon="add" onPress={addPlain} />;
  return (
    <Select
      label={words.addAStep}
      options={[
        { value: PLAIN, label: "Choose …" },
        { value: "plain", label: "Easy movement" },
        ...drills.map((d) => ({ value: d.id, label: d.name })),
      ]}
      value={PLAIN}
      onChange={(value) => {
        const drill = drills.find((d) => d.id === value);
        if (drill) onAdd(coolDownStepOf(drill, uuid()));
        else if (value === "plain") addPlain();
      }}
    />
  );
}
