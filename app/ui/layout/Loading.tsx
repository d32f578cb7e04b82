import type { UseQueryResult } from "@tanstack/react-query";
import type { ReactNode } from "react";
import { Text, View } from "react-native";
import { words } from "~/ui/words";
import { Notice } from "./Notice";

/** A query's three states in one way everywhere: loading, failed with a way to try again, and there. */
export function Loaded<T>({
  query,
  children,
}: {
  query: UseQueryResult<T>;
  children: (data: T) => ReactNode;
}) {
  if (query.data !== undefined) return <>{children(query.data)}</>;
  if (query.error) {
    return (
      <View className="p-4">
        <Notice
          warn
          text={query.error.message}
          actions={[{ label: words.tryAgain, onPress: () => query.refetch() }]}
        />
      </View>
    );
  }
  return <Loading />;
}

/** Something is on its way. */
export function Loading({ words = "Loading …" }: { words?: string }) {
  return (
    <View className="p-4" role="status">
      <Text className="font-text text-body text-muted">{words}</Text>
    </View>
  );
}
