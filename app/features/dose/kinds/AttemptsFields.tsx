import type { PlainDose } from "@tonodrome/core";
import { View } from "react-native";
import { Amount, type EditProps, Seconds } from "~/features/fields/fields";
import { Ranges } from "~/features/fields/Ranges";
import { Choice } from "~/ui/fields/Choice";
import { words } from "~/ui/words";

/** Single efforts and the rest between them. */
export function AttemptsFields({ dose, onChange }: EditProps<Extract<PlainDose, { kind: "attempts" }>>) {
  const { rest, secondsEach } = dose;
  return (
    <View className="gap-2">
      <Ranges
        of={[
          {
            noun: "attempts",
            range: dose.attempts,
            limits: { step: 1, least: 1, most: 30 },
            onChange: (attempts) => onChange({ ...dose, attempts }),
          },
        ]}
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
          { value: "fixed", label: words.aFixedRest },
          { value: "multiple", label: words.multipleOfEffort },
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
          label={words.rest}
          value={rest.seconds}
          least={0}
          most={1200}
          step={5}
          onChange={(seconds) => onChange({ ...dose, rest: { kind: "fixed", seconds } })}
        />
      ) : (
        <Amount
          label={words.restAsMultiple}
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
