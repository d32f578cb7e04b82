import { spokenLength } from "@tonodrome/core";
import {
  type DayStep,
  dayStepSchema,
  LONGEST_STEP,
  MOST_LINES,
  withMoved,
  withoutStep,
} from "@tonodrome/core/day";
import { Text, View } from "react-native";
import { Amount } from "~/features/fields/fields";
import { Button } from "~/ui/Button";
import { Choice } from "~/ui/fields/Choice";
import { Select } from "~/ui/fields/Select";
import { TextEdit } from "~/ui/fields/TextEdit";
import { WordsField } from "~/ui/fields/WordsField";
import { Fold } from "~/ui/layout/Fold";
import { words } from "~/ui/words";
import { KIND_WORDS } from "./kindWords";
import { RuleFields } from "./RuleFields";
import type { DayModel } from "./useDay";

interface StepFormProps {
  model: Pick<DayModel, "frame" | "edit" | "mayBuild">;
  step: DayStep;
}

const minutes = (n: number) => (n === 0 ? "a moment" : spokenLength(n * 60));

/** Kinds that a step can be made to be: a day has one warm-up and one start, and they stay what they are. */
const KINDS = Object.entries(KIND_WORDS)
  .filter(([kind]) => kind !== "start" && kind !== "warm-up")
  .map(([value, label]) => ({ value, label }));

/** Everything of one step, changed as it is typed. */
export function StepForm({ model, step }: StepFormProps) {
  const { steps } = model.frame;
  const change = (more: Partial<DayStep>) =>
    model.edit(steps.map((s) => (s.id === step.id ? { ...s, ...more } : s)));
  const { usual, bad = usual } = step.minutes;
  const setMinutes = (u: number, b: number) =>
    change({ minutes: b > u ? { usual: u, bad: b } : { usual: u } });
  const isWarmUp = step.kind === "warm-up";
  const isFixed = isWarmUp || step.kind === "start";
  return (
    <View className="gap-4">
      <TextEdit
        label={words.name}
        value={step.name}
        check={dayStepSchema.shape.name}
        onChange={(name) => change({ name })}
      />
      {isWarmUp ? (
        <Text className="font-text text-body text-muted">
          It begins as it is fitted, and lasts until the start. Change it where it is built.
        </Text>
      ) : (
        <>
          <Amount
            label="Usually"
            value={usual}
            least={0}
            most={LONGEST_STEP}
            step={5}
            show={minutes}
            onChange={(n) => setMinutes(n, Math.max(bad, n))}
          />
          <Amount
            label="If it goes badly"
            value={bad}
            least={usual}
            most={LONGEST_STEP}
            step={5}
            show={minutes}
            onChange={(n) => setMinutes(usual, n)}
          />
        </>
      )}
      <TextEdit
        label={words.place}
        value={step.place}
        check={dayStepSchema.shape.place}
        onChange={(place) => change({ place })}
      />
      <TextEdit
        label="Note"
        value={step.note}
        check={dayStepSchema.shape.note}
        onChange={(note) => change({ note })}
      />
      <WordsField
        label="List to tick off"
        words={step.list}
        most={MOST_LINES}
        onChange={(list) => change({ list })}
      />
      {isFixed ? null : (
        <>
          <Select
            label="Kind"
            options={KINDS}
            value={step.kind}
            onChange={(kind) => change({ kind: kind as DayStep["kind"] })}
          />
          <Choice
            named
            label="In the day"
            options={[
              { value: "line", label: "In line: what comes next waits for it" },
              { value: "beside", label: "Beside: nothing waits for it" },
            ]}
            value={step.beside ? "beside" : "line"}
            onChange={(how) => change({ beside: how === "beside" })}
          />
        </>
      )}
      <Fold title="When it has to be" open={step.rules.length > 0}>
        <RuleFields
          step={step}
          others={steps.filter((s) => s.id !== step.id)}
          onChange={(rules) => change({ rules })}
        />
      </Fold>
    </View>
  );
}

/** Earlier, later, out: what is done with a step as a whole. */
export function StepMoves({ model, step, onGone }: StepFormProps & { onGone: () => void }) {
  const { steps } = model.frame;
  const earlier = withMoved(steps, step.id, -1);
  const later = withMoved(steps, step.id, 1);
  return (
    <View className="flex-row flex-wrap gap-2">
      {step.beside ? null : (
        <>
          <Button
            label={words.earlier}
            icon="up"
            disabled={earlier === steps}
            onPress={() => model.edit(earlier)}
          />
          <Button
            label={words.later}
            icon="down"
            disabled={later === steps}
            onPress={() => model.edit(later)}
          />
        </>
      )}
      {step.kind === "start" ? null : (
        <Button
          label={words.remove}
          icon="remove"
          onPress={() => {
            model.edit(withoutStep(steps, step.id));
            onGone();
          }}
        />
      )}
    </View>
  );
}
