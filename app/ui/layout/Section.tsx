import type { ReactNode } from "react";
import { Text, View } from "react-native";

/** A part of a screen under a heading of its own. */
export function Section({ title, children }: { title: string; children: ReactNode }) {
  return (
    <View className="gap-3">
      <Text role="heading" aria-level={2} className="font-strong text-lead text-ink">
        {title}
      </Text>
      {children}
    </View>
  );
}
