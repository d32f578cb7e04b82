import { formatLength, type PlainDose } from "@tonodrome/core";
import { View } from "react-native";
import { type EditProps, Exactly, Seconds } from "~/features/fields/fields";
import { boutsOf, type RangeProps, Ranges } from "~/features/fields/Ranges";
import { Choice } from "~/ui/fields/Choice";
import { Fold } from "~/ui/layout/Fold";
import { words } from "~/ui/words";

type Rest = "rest" | "slot" | "whole";

/** Sets of repetitions, even or to a tempo, with a rest or in slots. */
export function RepsFields({ dose, onChange }: EditProps<Extract<PlainDose, { kind: "reps" }>>) {
  const { sets, reps, tempo, slotSeconds, slotFor } = dose;
  const setRep = ({ down, hold, up } = { down: 0, hold: 0, up: 0 }) => {
    const seconds = down + hold + up;
    if (seconds > 0) onChange({ ...dose, tempo: { down, hold, up }, secondsPerRep: seconds });
  };
  const work = Math.ceil(reps.ideal * dose.secondsPerRep);
  const bouts = sets.ideal * (dose.sides === "both" ? 2 : 1) * (dose.partner?.mode === "alternating" ? 2 : 1);
  const setsRange = boutsOf("sets", sets, 10, (next) => onChange({ ...dose, sets: next }));
  const repsRange: RangeProps = {
    noun: "reps",
    range: reps,
    limits: { step: 1, least: 1, most: Math.min(100, reps.floor + 40) },
    onChange: (next) => onChange({ ...dose, reps: next }),
  };
  const inFives = (seconds: number) => Math.ceil(seconds / 5) * 5;
  const restIn = (way: Rest) => {
    const { slotSeconds: _, slotFor: __, ...plain } = dose;
    if (way === "rest") return plain;
    if (way === "slot") return { ...plain, slotSeconds: inFives(work + dose.restSeconds) };
    const all = Math.max(5, inFives(bouts * work + (bouts - 1) * dose.restSeconds));
    return { ...plain, slotSeconds: Math.min(900, all), slotFor: "drill" as const };
  };
  const rep = tempo
    ? `${tempo.down} s down${tempo.hold > 0 ? ` ${tempo.hold} s hold` : ""} ${tempo.up} s up`
    : `${dose.secondsPerRep} s a rep`;
  const between = slotFor
    ? `all in ${formatLength(slotSeconds ?? 0)}`
    : slotSeconds
      ? `one set every ${formatLength(slotSeconds)}`
      : `${dose.restSeconds} s rest`;
  // What is rarely changed takes one line, so that the whole dose is in sight.
  const pace = `${rep}, ${between}`;
  return (
    <View className="gap-2">
      {slotFor ? (
        <Exactly
          label="How many sets"
          range={sets}
          most={10}
          onChange={(next) => onChange({ ...dose, sets: next })}
        />
      ) : null}
      {slotSeconds ? (
        <Exactly
          label="How many reps"
          range={reps}
          most={100}
          onChange={(next) => onChange({ ...dose, reps: next })}
        />
      ) : null}
      {slotFor ? null : <Ranges of={slotSeconds ? [setsRange] : [setsRange, repsRange]} />}
      <Fold title={pace}>
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
              step={0.5}
              onChange={(down) => setRep({ ...tempo, down })}
            />
            <Seconds
              label="Hold"
              value={tempo.hold}
              least={0}
              most={30}
              step={0.5}
              onChange={(hold) => setRep({ ...tempo, hold })}
            />
            <Seconds
              label="Up"
              value={tempo.up}
              least={0}
              most={30}
              step={0.5}
              onChange={(up) => setRep({ ...tempo, up })}
            />
          </>
        ) : (
          <Seconds
            label="One rep takes"
            value={dose.secondsPerRep}
            least={0.5}
            most={60}
            step={0.5}
            onChange={(secondsPerRep) => onChange({ ...dose, secondsPerRep })}
          />
        )}
        <Choice<Rest>
          label="Between sets"
          options={[
            { value: "rest", label: words.rest },
            { value: "slot", label: "One set every …" },
            { value: "whole", label: "All in a slot" },
          ]}
          value={slotFor ? "whole" : slotSeconds ? "slot" : "rest"}
          onChange={(way) => onChange(restIn(way))}
        />
        {slotSeconds ? (
          <Seconds
            label={slotFor ? "The slot" : "One set every"}
            value={slotSeconds}
            least={Math.max(5, inFives(slotFor ? bouts * work : work))}
            most={900}
            step={5}
            onChange={(next) => onChange({ ...dose, slotSeconds: next })}
          />
        ) : (
          <Seconds
            label={words.rest}
            value={dose.restSeconds}
            least={0}
            most={300}
            step={5}
            onChange={(restSeconds) => onChange({ ...dose, restSeconds })}
          />
        )}
      </Fold>
    </View>
  );
}
