import type { PlainDose } from "@tonodrome/core";
import { View } from "react-native";
import { type EditProps, Seconds } from "~/features/fields/fields";
import { Choice } from "~/ui/fields/Choice";
import { words } from "~/ui/words";

type Mode = "alone" | NonNullable<PlainDose["partner"]>["mode"];

const MODES: { value: Mode; label: string }[] = [
  { value: "alone", label: words.alone },
  { value: "together", label: "Together" },
  { value: "alternating", label: "In turn" },
  { value: "swapped", label: "Roles swapped" },
];

/** Whether two do it, and how. */
export function PartnerFields({ dose, onChange }: EditProps) {
  const { partner } = dose;
  return (
    <View className="gap-2">
      <Choice
        label="With a partner"
        options={MODES}
        value={partner?.mode ?? "alone"}
        onChange={(mode) =>
          onChange({
            ...dose,
            partner:
              mode === "alone" ? undefined : { mode, changeoverSeconds: partner?.changeoverSeconds ?? 15 },
          })
        }
      />
      {partner?.mode === "swapped" ? (
        <Seconds
          label="Swapping roles"
          value={partner.changeoverSeconds}
          least={0}
          most={120}
          step={5}
          onChange={(changeoverSeconds) => onChange({ ...dose, partner: { ...partner, changeoverSeconds } })}
        />
      ) : null}
    </View>
  );
}
