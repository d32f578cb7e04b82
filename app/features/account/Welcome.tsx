import type { ReactNode } from "react";
import { ScrollView, Text, View } from "react-native";
import { useTitle } from "~/ui/layout/Screen";
import { StairMark } from "~/ui/StairMark";
import { words } from "~/ui/words";

/** The page of whoever is not in yet: the name, what it is, and one thing to do. */
export function Welcome({ title, lead, children }: { title: string; lead: string; children: ReactNode }) {
  useTitle(title);
  return (
    <ScrollView
      role="main"
      className="h-dvh bg-paper"
      contentContainerClassName="mx-auto w-full max-w-[480px] gap-5 p-5 pb-10"
    >
      <View className="gap-3 pt-4">
        <Text className="font-strong text-lead text-press">{words.tonodrome}</Text>
        <StairMark />
      </View>
      <View className="gap-1">
        <Text role="heading" aria-level={1} className="font-strong text-title text-ink">
          {title}
        </Text>
        <Text className="font-text text-body text-muted">{lead}</Text>
      </View>
      {children}
    </ScrollView>
  );
}
