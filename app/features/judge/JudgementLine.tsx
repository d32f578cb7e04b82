import type { Finding } from "@tonodrome/core";
import { memo } from "react";
import { Pressable, Text, View } from "react-native";
import { Icon } from "~/ui/Icon";
import { toLookAt } from "./severity";

interface JudgementLineProps {
  /** The state at the start; null while it is not known, or nothing is done. */
  line: string | null;
  /** What nobody has set aside. */
  open: readonly Pick<Finding, "severity">[];
  onForecast: () => void;
  onFindings: () => void;
}

/** The state at the start, and how many things there are to look at: each opens what is behind it. */
export const JudgementLine = memo(function JudgementLine({
  line,
  open,
  onForecast,
  onFindings,
}: JudgementLineProps) {
  if (line === null && open.length === 0) return null;
  const grave = open.some((f) => f.severity !== "hint");
  return (
    <View className="flex-row items-center gap-3" testID="judgement">
      {line === null ? null : (
        <Pressable
          role="button"
          aria-haspopup="dialog"
          onPress={onForecast}
          className="min-h-press shrink justify-center"
          testID="state-line"
        >
          <Text className="font-text text-small text-ink underline">{line}</Text>
        </Pressable>
      )}
      <View className="flex-1" />
      <Pressable
        role="button"
        aria-haspopup="dialog"
        onPress={onFindings}
        className="min-h-press shrink-0 flex-row items-center gap-1"
        testID="to-look-at"
      >
        {grave ? <Icon name="warn" size={18} color="ink" /> : null}
        <Text className={`text-small text-ink underline ${grave ? "font-strong" : "font-text"}`}>
          {toLookAt(open)}
        </Text>
      </Pressable>
    </View>
  );
});
