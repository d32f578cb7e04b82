import {
  type Dose,
  type DoseEnd,
  type DoseKind,
  doseSchema,
  formatLength,
  idealLevel,
  levelsOf,
  mainRange,
  moveEnd,
  type Sides,
  withMainRange,
} from "@tonodrome/core";
import { Text, View } from "react-native";
import { Choice } from "~/ui/Choice";
import { Stepper } from "~/ui/Stepper";
import { firstDose } from "./firstDose";

const KINDS: { value: DoseKind; label: string }[] = [
  { value: "time", label: "Time" },
  { value: "reps", label: "Reps" },
  { value: "attempts", label: "Attempts" },
];
const SIDES: { value: Sides; label: string }[] = [
  { value: "one", label: "Whole body" },
  { value: "both", label: "Each side" },
  { value: "dominant", label: "Better side" },
];
const ENDS: { end: DoseEnd; label: string }[] = [
  { end: "floor", label: "Floor" },
  { end: "ideal", label: "Ideal" },
  { end: "ceiling", label: "Ceiling" },
];

const clamp = (value: number, least: number, most: number) => Math.min(most, Math.max(least, value));

/** A dose in whole steps, with the time it takes always in sight. */
export function DoseEditor({ dose, onChange: changed }: EditProps) {
  // A press that would leave the sensible (more choices than sixty, say) does nothing.
  const onChange = (next: Dose) => {
    if (doseSchema.safeParse(next).success) changed(next);
  };
  const levels = levelsOf(dose);
  const ideal = levels[idealLevel(dose)];
  const first = levels[0];
  const last = levels.at(-1);
  return (
    <View className="gap-3">
      <View className="flex-row items-baseline justify-between gap-2">
        <Text className="flex-1 font-text text-body text-ink" aria-live="polite">
          {ideal?.words}
        </Text>
        <Text className="font-figures text-lead text-ink" style={{ fontVariant: ["tabular-nums"] }}>
          {formatLength(ideal?.seconds ?? 0)}
        </Text>
      </View>
      <Text className="font-text text-small text-muted">
        From {formatLength(first?.seconds ?? 0)} when time is short to {formatLength(last?.seconds ?? 0)} at
        most.
      </Text>
      <Choice
        label="Dose"
        options={KINDS}
        value={dose.kind}
        onChange={(kind) => (kind === dose.kind ? undefined : onChange(firstDose(kind)))}
      />
      <Ends dose={dose} onChange={onChange} />
      <More dose={dose} onChange={onChange} />
      <Choice
        label="Sides"
        options={SIDES}
        value={dose.sides}
        onChange={(sides) => onChange({ ...dose, sides })}
      />
    </View>
  );
}

interface EditProps {
  dose: Dose;
  onChange: (dose: Dose) => void;
}

function Ends({ dose, onChange }: EditProps) {
  const limits = limitsOf(dose);
  const range = mainRange(dose);
  const show = (n: number) => (dose.kind === "time" ? formatLength(n) : String(n));
  const noun = { time: "time", reps: "reps", attempts: "attempts" }[dose.kind];
  const move = (end: DoseEnd, steps: number) =>
    onChange(withMainRange(dose, moveEnd(range, end, steps, limits)));
  return (
    <View className="gap-2">
      {dose.kind === "reps" ? <Sets dose={dose} onChange={onChange} /> : null}
      {ENDS.map(({ end, label }) => (
        <Stepper
          key={end}
          label={`${label} ${noun}`}
          value={show(range[end])}
          onLess={() => move(end, -1)}
          onMore={() => move(end, 1)}
          atLeast={range[end] <= limits.least}
          atMost={range[end] >= limits.most}
        />
      ))}
    </View>
  );
}

function Sets({ dose, onChange }: { dose: Extract<Dose, { kind: "reps" }>; onChange: (dose: Dose) => void }) {
  const limits = { step: 1, least: 1, most: 10 };
  const move = (end: DoseEnd, steps: number) => {
    const sets = moveEnd(dose.sets, end, steps, limits);
    // Two numbers are enough for sets: what is wanted, and the fewest.
    onChange({ ...dose, sets: { ...sets, ceiling: sets.ideal } });
  };
  return (
    <>
      <Stepper
        label="Sets"
        value={String(dose.sets.ideal)}
        onLess={() => move("ideal", -1)}
        onMore={() => move("ideal", 1)}
        atLeast={dose.sets.ideal <= 1}
        atMost={dose.sets.ideal >= limits.most}
      />
      <Stepper
        label="Fewest sets"
        value={String(dose.sets.floor)}
        onLess={() => move("floor", -1)}
        onMore={() => move("floor", 1)}
        atLeast={dose.sets.floor <= 1}
        atMost={dose.sets.floor >= dose.sets.ideal}
      />
    </>
  );
}

function More({ dose, onChange }: EditProps) {
  switch (dose.kind) {
    case "time":
      return dose.sides === "both" ? (
        <Seconds
          label="Changing sides"
          value={dose.changeoverSeconds}
          least={0}
          most={120}
          step={5}
          onChange={(changeoverSeconds) => onChange({ ...dose, changeoverSeconds })}
        />
      ) : null;
    case "reps":
      return (
        <View className="gap-2">
          <Seconds
            label="One rep takes"
            value={dose.secondsPerRep}
            least={1}
            most={60}
            step={1}
            onChange={(secondsPerRep) => onChange({ ...dose, secondsPerRep })}
          />
          <Seconds
            label="Rest"
            value={dose.restSeconds}
            least={0}
            most={300}
            step={5}
            onChange={(restSeconds) => onChange({ ...dose, restSeconds })}
          />
        </View>
      );
    case "attempts":
      return (
        <View className="gap-2">
          <Seconds
            label="One attempt takes"
            value={dose.secondsEach}
            least={1}
            most={600}
            step={dose.secondsEach >= 30 ? 5 : 1}
            onChange={(secondsEach) => onChange({ ...dose, secondsEach })}
          />
          <Seconds
            label="Rest between"
            value={
              dose.rest.kind === "fixed" ? dose.rest.seconds : Math.ceil(dose.rest.times * dose.secondsEach)
            }
            least={0}
            most={1200}
            step={5}
            onChange={(seconds) => onChange({ ...dose, rest: { kind: "fixed", seconds } })}
          />
        </View>
      );
  }
}

interface SecondsProps {
  label: string;
  value: number;
  least: number;
  most: number;
  step: number;
  onChange: (value: number) => void;
}

function Seconds({ label, value, least, most, step, onChange }: SecondsProps) {
  return (
    <Stepper
      label={label}
      value={value < 60 ? `${value} s` : formatLength(value)}
      onLess={() => onChange(clamp(value - step, least, most))}
      onMore={() => onChange(clamp(value + step, least, most))}
      atLeast={value <= least}
      atMost={value >= most}
    />
  );
}

/** What a press changes, and how far it may go. A range is kept narrow enough to stay within sixty choices. */
function limitsOf(dose: Dose): { step: number; least: number; most: number } {
  switch (dose.kind) {
    case "time": {
      const { step } = dose;
      return { step, least: step, most: Math.min(1800, dose.seconds.floor + step * 55) };
    }
    case "reps":
      return { step: 1, least: 1, most: Math.min(100, dose.reps.floor + 40) };
    case "attempts":
      return { step: 1, least: 1, most: 30 };
  }
}
