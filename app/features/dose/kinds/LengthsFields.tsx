import type { PlainDose } from "@tonodrome/core";
import { View } from "react-native";
import { Amount, type EditProps, Seconds } from "~/features/fields/fields";
import { boutsOf, Ranges } from "~/features/fields/Ranges";
import { Choice } from "~/ui/fields/Choice";

/** Rounds of lengths, and how one comes back. */
export function LengthsFields({ dose, onChange }: EditProps<Extract<PlainDose, { kind: "lengths" }>>) {
  return (
    <View className="gap-2">
      <Ranges
        of={[
          boutsOf("rounds", dose.rounds, 10, (rounds) => onChange({ ...dose, rounds })),
          {
            noun: "lengths",
            range: dose.lengths,
            limits: { step: 1, least: 1, most: 40 },
            onChange: (lengths) => onChange({ ...dose, lengths }),
          },
        ]}
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
