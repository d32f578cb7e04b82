import type { Finding } from "@tonodrome/core";
import { memo } from "react";
import { Pressable, Text } from "react-native";
import { Icon } from "~/ui/Icon";
import { Unbroken } from "~/ui/Unbroken";
import { toLookAt } from "./severity";

/** The state at the start in a line, which opens the forecast; nothing while it is not known, or nothing is done. */
export const StatePress = memo(function StatePress({
  line,
  onPress,
}: {
  line: string | null;
  onPress: () => void;
}) {
  if (line === null) return null;
  return (
    <Pressable
      role="button"
      aria-haspopup="dialog"
      onPress={onPress}
      className="min-h-press shrink justify-center"
      testID="state-line"
    >
      <Text className="text-right font-text text-small text-ink underline">
        <Unbroken text={line} />
      </Text>
    </Pressable>
  );
});

interface FindingsPressProps {
  /** What nobody has set aside. */
  open: readonly Pick<Finding, "severity">[];
  onPress: () => void;
}

/** How many things there are to look at, which opens them. */
export const FindingsPress = memo(function FindingsPress({ open, onPress }: FindingsPressProps) {
  const grave = open.some((f) => f.severity !== "hint");
  return (
    <Pressable
      role="button"
      aria-haspopup="dialog"
      onPress={onPress}
      className="min-h-press shrink-0 flex-row items-center gap-1"
      testID="to-look-at"
    >
      {grave ? <Icon name="warn" size={18} color="ink" /> : null}
      <Text className={`text-small text-ink underline ${grave ? "font-strong" : "font-text"}`}>
        {toLookAt(open)}
      </Text>
    </Pressable>
  );
});
