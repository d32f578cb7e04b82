import type { ErrorBoundaryProps } from "expo-router";
import { useEffect } from "react";
import { View } from "react-native";
import { dropSight } from "~/data/device/sight";
import { Notice } from "~/ui/layout/Notice";

/** What is shown when a screen fails in a way nobody foresaw. */
export function ErrorBoundary({ error, retry }: ErrorBoundaryProps) {
  useEffect(dropSight, []);
  return (
    <View className="h-dvh justify-center bg-paper p-4">
      <Notice
        warn
        text={`This screen failed (${error.message}). What you saved, and every press of a run, is kept.`}
        actions={[{ label: "Show it again", onPress: () => void retry() }]}
      />
    </View>
  );
}
