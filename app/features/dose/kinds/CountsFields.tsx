import type { PlainDose } from "@tonodrome/core";
import { View } from "react-native";
import { Amount, type EditProps } from "~/features/fields/fields";
import { Ranges } from "~/features/fields/Ranges";

/** Phrases of counts to a beat. */
export function CountsFields({ dose, onChange }: EditProps<Extract<PlainDose, { kind: "counts" }>>) {
  return (
    <View className="gap-2">
      <Ranges
        of={[
          {
            noun: "phrases",
            range: dose.phrases,
            limits: { step: 1, least: 1, most: 60 },
            onChange: (phrases) => onChange({ ...dose, phrases }),
          },
        ]}
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
