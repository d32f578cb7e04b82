import { spokenLength } from "@tonodrome/core";
import { type DayStep, FURTHEST, MOST_RULES, type StepRule } from "@tonodrome/core/day";
import { View } from "react-native";
import { Amount } from "~/features/fields/fields";
import { Button } from "~/ui/Button";
import { Choice } from "~/ui/fields/Choice";
import { Field } from "~/ui/fields/Field";
import { Select } from "~/ui/fields/Select";

interface RuleFieldsProps {
  step: DayStep;
  others: readonly DayStep[];
  onChange: (rules: StepRule[]) => void;
}

const EDGES = [
  { value: "begin", label: "Its beginning" },
  { value: "end", label: "Its end" },
] as const;

const DAYS = [
  { value: "-2", label: "two days before" },
  { value: "-1", label: "the day before" },
  { value: "0", label: "the day of the start" },
  { value: "1", label: "the day after" },
  { value: "2", label: "two days after" },
];

const minutes = (n: number) => (n === 0 ? "0 min" : spokenLength(n * 60));

/** What has to hold between a step and another, or the venue's clock. */
export function RuleFields({ step, others, onChange }: RuleFieldsProps) {
  const { rules } = step;
  const start = others.find((s) => s.kind === "start") ?? others[0];
  const put = (n: number, rule: StepRule) => onChange(rules.map((r, i) => (i === n ? rule : r)));
  const add = (rule: StepRule) => onChange([...rules, rule]);
  const full = rules.length >= MOST_RULES || !start;
  return (
    <View className="gap-4">
      {rules.map((rule, n) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a rule has nothing else that stays the same while it is edited
        <View key={n} role="group" aria-label={`Rule ${n + 1}`} className="gap-2 border-l-4 border-line pl-3">
          <RuleField rule={rule} others={others} onChange={(next) => put(n, next)} />
          <Button
            label={`Remove rule ${n + 1}`}
            short="Remove this rule"
            icon="remove"
            onPress={() => onChange(rules.filter((_, i) => i !== n))}
          />
        </View>
      ))}
      <View className="flex-row flex-wrap gap-2">
        <Button
          label="Some time before another step"
          icon="add"
          disabled={full}
          onPress={() =>
            start && add({ kind: "before", edge: "end", leastMinutes: 30, ofEdge: "begin", of: start.id })
          }
        />
        <Button
          label="Right before another step"
          icon="add"
          disabled={full}
          onPress={() => start && add({ kind: "straight-before", of: start.id })}
        />
        <Button
          label="By the clock"
          icon="add"
          disabled={full}
          onPress={() => add({ kind: "clock", edge: "begin", day: 0, notBefore: "08:00" })}
        />
      </View>
    </View>
  );
}

function RuleField({
  rule,
  others,
  onChange,
}: {
  rule: StepRule;
  others: readonly DayStep[];
  onChange: (rule: StepRule) => void;
}) {
  const ofWhich = others.map((s) => ({ value: s.id, label: s.name }));
  if (rule.kind === "straight-before")
    return (
      <Select
        label="Ends when this begins"
        options={ofWhich}
        value={rule.of}
        onChange={(of) => onChange({ ...rule, of })}
      />
    );
  if (rule.kind === "clock")
    return (
      <>
        <Edge edge={rule.edge} onChange={(edge) => onChange({ ...rule, edge })} />
        <Select
          label="On"
          options={DAYS}
          value={String(rule.day)}
          onChange={(day) => onChange({ ...rule, day: Number(day) })}
        />
        <ClockField
          label="Not before"
          value={rule.notBefore}
          // One of both there has to be.
          needed={rule.notAfter === undefined}
          onChange={(notBefore) => onChange({ ...rule, notBefore })}
        />
        <ClockField
          label="Not after"
          value={rule.notAfter}
          needed={rule.notBefore === undefined}
          onChange={(notAfter) => onChange({ ...rule, notAfter })}
        />
      </>
    );
  const { mostMinutes } = rule;
  return (
    <>
      <Edge edge={rule.edge} onChange={(edge) => onChange({ ...rule, edge })} />
      <Amount
        label="At least this long before"
        value={rule.leastMinutes}
        least={0}
        most={FURTHEST}
        step={5}
        show={minutes}
        onChange={(leastMinutes) =>
          onChange({
            ...rule,
            leastMinutes,
            ...(mostMinutes === undefined ? {} : { mostMinutes: Math.max(mostMinutes, leastMinutes) }),
          })
        }
      />
      {mostMinutes === undefined ? (
        <Button
          label="Add a maximum"
          icon="add"
          onPress={() => onChange({ ...rule, mostMinutes: rule.leastMinutes })}
        />
      ) : (
        <>
          <Amount
            label="At most this long before"
            value={mostMinutes}
            least={rule.leastMinutes}
            most={FURTHEST}
            step={5}
            show={minutes}
            onChange={(most) => onChange({ ...rule, mostMinutes: most })}
          />
          <Button
            label="Remove the maximum"
            icon="less"
            onPress={() => onChange({ ...rule, mostMinutes: undefined })}
          />
        </>
      )}
      <Choice
        label="Measured to"
        options={[
          { value: "begin", label: "the beginning of" },
          { value: "end", label: "the end of" },
        ]}
        value={rule.ofEdge}
        onChange={(ofEdge) => onChange({ ...rule, ofEdge })}
      />
      <Select
        label="Which step"
        options={ofWhich}
        value={rule.of}
        onChange={(of) => onChange({ ...rule, of })}
      />
    </>
  );
}

/** Which end of the step a rule is about. */
function Edge({ edge, onChange }: { edge: "begin" | "end"; onChange: (edge: "begin" | "end") => void }) {
  return <Choice label="Which end" options={EDGES} value={edge} onChange={onChange} />;
}

interface ClockFieldProps {
  label: string;
  value: string | undefined;
  needed: boolean;
  onChange: (time: string | undefined) => void;
}

/** A time on the venue's clock, or none; an unfinished one changes nothing. */
function ClockField({ label, value, needed, onChange }: ClockFieldProps) {
  return (
    <View className="flex-row items-end gap-2">
      <View className="flex-1">
        <Field
          label={label}
          type="time"
          value={value ?? ""}
          onChange={(event) => {
            const time = event.currentTarget.value;
            if (/^\d\d:\d\d$/.test(time)) onChange(time);
          }}
        />
      </View>
      {value === undefined || needed ? null : (
        <Button label={`${label}: none`} icon="close" iconOnly onPress={() => onChange(undefined)} />
      )}
    </View>
  );
}
