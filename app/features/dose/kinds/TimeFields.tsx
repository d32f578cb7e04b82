import { formatLength, type PlainDose } from "@tonodrome/core";
import { View } from "react-native";
import { Amount, type EditProps, Seconds } from "~/features/fields/fields";
import { Ranges } from "~/features/fields/Ranges";

/** A length of time. */
export function TimeFields({ dose, onChange }: EditProps<Extract<PlainDose, { kind: "time" }>>) {
  const { step, seconds } = dose;
  return (
    <View className="gap-2">
      <Ranges
        of={[
          {
            noun: null,
            range: seconds,
            limits: { step, least: step, most: Math.min(1800, seconds.floor + step * 55) },
            show: formatLength,
            onChange: (next) => onChange({ ...dose, seconds: next }),
          },
        ]}
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
      <Amount
        label="One action every"
        value={dose.secondsPerAction ?? 0}
        least={0}
        most={120}
        show={(n) => (n === 0 ? "not counted" : `${n} s`)}
        onChange={(n) => {
          const { secondsPerAction: _, ...uncounted } = dose;
          onChange(n === 0 ? uncounted : { ...dose, secondsPerAction: n });
        }}
      />
    </View>
  );
}
