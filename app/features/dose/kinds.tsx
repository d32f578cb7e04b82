import { type Dose, formatLength, WIDEST_WINDOW } from "@tonodrome/core";
import { View } from "react-native";
import { Choice } from "~/ui/Choice";
import { Amount, Bouts, type EditProps, RangeField, Seconds } from "./fields";

type Of<K extends Dose["kind"]> = Extract<Dose, { kind: K }>;

export function TimeFields({ dose, onChange }: EditProps<Of<"time">>) {
  const { step, seconds } = dose;
  return (
    <View className="gap-2">
      <RangeField
        noun="time"
        range={seconds}
        limits={{ step, least: step, most: Math.min(1800, seconds.floor + step * 55) }}
        show={formatLength}
        onChange={(next) => onChange({ ...dose, seconds: next })}
      />
      {dose.sides === "both" ? (
        <Seconds
          label="Changing sides"
          value={dose.changeoverSeconds}
          least={0}
          most={120}
          step={5}
          onChange={(changeoverSeconds) => onChange({ ...dose, changeoverSeconds })}
        />
      ) : null}
    </View>
  );
}

type Rest = "rest" | "slot";

export function RepsFields({ dose, onChange }: EditProps<Of<"reps">>) {
  const { reps, tempo, slotSeconds } = dose;
  const setRep = ({ down, hold, up } = { down: 0, hold: 0, up: 0 }) => {
    const seconds = down + hold + up;
    if (seconds > 0) onChange({ ...dose, tempo: { down, hold, up }, secondsPerRep: seconds });
  };
  const work = reps.ideal * dose.secondsPerRep;
  return (
    <View className="gap-2">
      <Bouts noun="Sets" range={dose.sets} most={10} onChange={(sets) => onChange({ ...dose, sets })} />
      <RangeField
        noun="reps"
        range={reps}
        limits={{ step: 1, least: 1, most: Math.min(100, reps.floor + 40) }}
        onChange={(next) => onChange({ ...dose, reps: next })}
      />
      <Choice
        label="A rep"
        options={[
          { value: "even", label: "Even" },
          { value: "tempo", label: "To a tempo" },
        ]}
        value={tempo ? "tempo" : "even"}
        onChange={(way) =>
          way === "tempo" ? setRep({ down: 2, hold: 0, up: 2 }) : onChange({ ...dose, tempo: undefined })
        }
      />
      {tempo ? (
        <>
          <Seconds
            label="Down"
            value={tempo.down}
            least={0}
            most={30}
            onChange={(down) => setRep({ ...tempo, down })}
          />
          <Seconds
            label="Hold"
            value={tempo.hold}
            least={0}
            most={30}
            onChange={(hold) => setRep({ ...tempo, hold })}
          />
          <Seconds
            label="Up"
            value={tempo.up}
            least={0}
            most={30}
            onChange={(up) => setRep({ ...tempo, up })}
          />
        </>
      ) : (
        <Seconds
          label="One rep takes"
          value={dose.secondsPerRep}
          least={1}
          most={60}
          onChange={(secondsPerRep) => onChange({ ...dose, secondsPerRep })}
        />
      )}
      <Choice<Rest>
        label="Between sets"
        options={[
          { value: "rest", label: "Rest" },
          { value: "slot", label: "One set every …" },
        ]}
        value={slotSeconds ? "slot" : "rest"}
        onChange={(way) =>
          onChange({
            ...dose,
            slotSeconds: way === "slot" ? Math.ceil((work + dose.restSeconds) / 5) * 5 : undefined,
          })
        }
      />
      {slotSeconds ? (
        <Seconds
          label="One set every"
          value={slotSeconds}
          least={Math.max(5, work)}
          most={900}
          step={5}
          onChange={(next) => onChange({ ...dose, slotSeconds: next })}
        />
      ) : (
        <Seconds
          label="Rest"
          value={dose.restSeconds}
          least={0}
          most={300}
          step={5}
          onChange={(restSeconds) => onChange({ ...dose, restSeconds })}
        />
      )}
    </View>
  );
}

export function LengthsFields({ dose, onChange }: EditProps<Of<"lengths">>) {
  return (
    <View className="gap-2">
      <Bouts
        noun="Rounds"
        range={dose.rounds}
        most={10}
        onChange={(rounds) => onChange({ ...dose, rounds })}
      />
      <RangeField
        noun="lengths"
        range={dose.lengths}
        limits={{ step: 1, least: 1, most: 40 }}
        onChange={(lengths) => onChange({ ...dose, lengths })}
      />
      <Choice
        label="Coming back"
        options={[
          { value: "same", label: "There and back" },
          { value: "walk", label: "Walk back" },
          { value: "none", label: "One way" },
        ]}
        value={dose.back}
        onChange={(back) => onChange({ ...dose, back })}
      />
      <Amount
        label="One length"
        value={dose.metres}
        least={1}
        most={400}
        step={dose.metres >= 25 ? 5 : 1}
        show={(n) => `${n} m`}
        onChange={(metres) => onChange({ ...dose, metres })}
      />
      <Seconds
        label="One length takes"
        value={dose.secondsEach}
        least={1}
        most={600}
        onChange={(secondsEach) => onChange({ ...dose, secondsEach })}
      />
      {dose.back === "walk" ? (
        <Seconds
          label="Walking back takes"
          value={dose.walkSeconds}
          least={0}
          most={300}
          step={5}
          onChange={(walkSeconds) => onChange({ ...dose, walkSeconds })}
        />
      ) : null}
      <Seconds
        label="A turn takes"
        value={dose.turnSeconds}
        least={0}
        most={30}
        onChange={(turnSeconds) => onChange({ ...dose, turnSeconds })}
      />
      <Seconds
        label="Rest between rounds"
        value={dose.restSeconds}
        least={0}
        most={300}
        step={5}
        onChange={(restSeconds) => onChange({ ...dose, restSeconds })}
      />
    </View>
  );
}

export function CountsFields({ dose, onChange }: EditProps<Of<"counts">>) {
  return (
    <View className="gap-2">
      <RangeField
        noun="phrases"
        range={dose.phrases}
        limits={{ step: 1, least: 1, most: 60 }}
        onChange={(phrases) => onChange({ ...dose, phrases })}
      />
      <Amount
        label="Counts in a phrase"
        value={dose.counts}
        least={1}
        most={64}
        onChange={(counts) => onChange({ ...dose, counts })}
      />
      <Amount
        label="Beats a minute"
        value={dose.beatsPerMinute}
        least={30}
        most={240}
        step={2}
        onChange={(beatsPerMinute) => onChange({ ...dose, beatsPerMinute })}
      />
    </View>
  );
}

export function AttemptsFields({ dose, onChange }: EditProps<Of<"attempts">>) {
  const { rest, secondsEach } = dose;
  return (
    <View className="gap-2">
      <RangeField
        noun="attempts"
        range={dose.attempts}
        limits={{ step: 1, least: 1, most: 30 }}
        onChange={(attempts) => onChange({ ...dose, attempts })}
      />
      <Seconds
        label="One attempt takes"
        value={secondsEach}
        least={1}
        most={600}
        step={secondsEach >= 30 ? 5 : 1}
        onChange={(next) => onChange({ ...dose, secondsEach: next })}
      />
      <Choice
        label="Rest between"
        options={[
          { value: "fixed", label: "A fixed rest" },
          { value: "multiple", label: "A multiple of the work" },
        ]}
        value={rest.kind}
        onChange={(kind) =>
          onChange({
            ...dose,
            rest:
              kind === "fixed"
                ? {
                    kind,
                    seconds: rest.kind === "multiple" ? Math.ceil(rest.times * secondsEach) : rest.seconds,
                  }
                : {
                    kind,
                    times: rest.kind === "fixed" ? Math.round(rest.seconds / secondsEach) : rest.times,
                  },
          })
        }
      />
      {rest.kind === "fixed" ? (
        <Seconds
          label="Rest"
          value={rest.seconds}
          least={0}
          most={1200}
          step={5}
          onChange={(seconds) => onChange({ ...dose, rest: { kind: "fixed", seconds } })}
        />
      ) : (
        <Amount
          label="Rest, times the work"
          value={rest.times}
          least={0}
          most={20}
          show={(n) => `${n} ×`}
          onChange={(times) => onChange({ ...dose, rest: { kind: "multiple", times } })}
        />
      )}
    </View>
  );
}

/** A gate under another rule; hits beyond what is looked back on are given up with it. */
function withRule(dose: Of<"gate">, kind: Of<"gate">["rule"]["kind"]): Of<"gate"> {
  if (kind !== "of") return { ...dose, rule: { kind } };
  const within = (n: number) => Math.min(n, WIDEST_WINDOW);
  const hits = {
    floor: within(dose.hits.floor),
    ideal: within(dose.hits.ideal),
    ceiling: within(dose.hits.ceiling),
  };
  return { ...dose, hits, rule: { kind, window: within(hits.ceiling + 2) } };
}

export function GateFields({ dose, onChange }: EditProps<Of<"gate">>) {
  const { rule, hits } = dose;
  const window = rule.kind === "of" ? rule.window : 30;
  return (
    <View className="gap-2">
      <Choice
        label="It opens with"
        options={[
          { value: "total", label: "Hits in all" },
          { value: "row", label: "Hits in a row" },
          { value: "of", label: "Of the last …" },
        ]}
        value={rule.kind}
        onChange={(kind) => onChange(withRule(dose, kind))}
      />
      <RangeField
        noun="hits"
        range={hits}
        limits={{ step: 1, least: 1, most: window }}
        onChange={(next) => onChange({ ...dose, hits: next })}
      />
      {rule.kind === "of" ? (
        <Amount
          label="Of the last"
          value={rule.window}
          least={hits.ceiling}
          most={WIDEST_WINDOW}
          show={(n) => `${n} tries`}
          onChange={(next) => onChange({ ...dose, rule: { kind: "of", window: next } })}
        />
      ) : null}
      <Amount
        label="Chance of a hit"
        value={dose.chancePercent}
        least={5}
        most={95}
        step={5}
        show={(n) => `${n} %`}
        onChange={(chancePercent) => onChange({ ...dose, chancePercent })}
      />
      <Seconds
        label="One try takes"
        value={dose.secondsEach}
        least={1}
        most={120}
        onChange={(secondsEach) => onChange({ ...dose, secondsEach })}
      />
      <Seconds
        label="Between tries"
        value={dose.restSeconds}
        least={0}
        most={120}
        step={5}
        onChange={(restSeconds) => onChange({ ...dose, restSeconds })}
      />
      <Seconds
        label="Never longer than"
        value={dose.capSeconds}
        least={Math.max(30, dose.secondsEach)}
        most={1800}
        step={30}
        onChange={(capSeconds) => onChange({ ...dose, capSeconds })}
      />
      <Amount
        label="Time enough for"
        value={dose.surePercent}
        least={50}
        most={95}
        step={5}
        show={(n) => `${n} %`}
        onChange={(surePercent) => onChange({ ...dose, surePercent })}
      />
    </View>
  );
}
