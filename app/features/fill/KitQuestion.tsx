import { spokenLength } from "@tonodrome/core";
import type { FillPreview } from "@tonodrome/core/fill";
import { Text, View } from "react-native";
import { Choice } from "~/ui/fields/Choice";
import type { KitSaid } from "./fillFor";

const OPTIONS = [
  { value: "on", label: "On already" },
  { value: "to-do", label: "Still to put on" },
] as const;

interface KitQuestionProps {
  kit: NonNullable<FillPreview["kitOn"]>;
  said: NonNullable<KitSaid>;
  onSay: (said: NonNullable<KitSaid>) => void;
}

/** Asked once, where there is no time for the kit: is it on already? */
export function KitQuestion({ kit: { names, seconds }, said, onSay }: KitQuestionProps) {
  const what = names.join(", ");
  return (
    <View className="gap-2">
      <Text className="font-strong text-body text-ink">
        {`${what} takes ${spokenLength(seconds)}: no time for it beside movement. On already?`}
      </Text>
      <Choice label={`${what}: on already?`} options={OPTIONS} value={said} onChange={onSay} />
    </View>
  );
}
