import type { PlainDose } from "@tonodrome/core";
import { View } from "react-native";
import { Choice } from "~/ui/Choice";
import { Bouts, type EditProps, RangeField, Seconds } from "./fields";

type Rest = "rest" | "slot";

/** Sets of repetitions, even or to a tempo, with a rest or in slots. */
export function RepsFields({ dose, onChange }: EditProps<Extract<PlainDose, { kind: "reps" }>>) {
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
