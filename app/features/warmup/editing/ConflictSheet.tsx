import type { Side } from "@tonodrome/core";
import { Text, View } from "react-native";
import type { PlanConflict } from "~/data/plan/planDraft";
import { Button } from "~/ui/Button";

interface ConflictSheetProps {
  conflict: PlanConflict;
  onDecide: (side: Side) => void;
}

/** What two people changed in different ways, side by side; everything else of both is kept whatever is pressed. */
export function ConflictSheet({ conflict: { by, theirs, meetings }, onDecide }: ConflictSheetProps) {
  const who = by ?? "Someone else";
  return (
    <View className="gap-4">
      <Text className="font-text text-body text-ink">
        {who} saved version {theirs.version} while you were changing it. What only one of you changed is kept
        of both. Here you met:
      </Text>
      <View role="list" aria-label="Where you met">
        {meetings.map(({ what, mine, theirs: other }) => (
          <View key={what} role="listitem" className="gap-1 border-t-2 border-line py-2">
            <Text className="font-strong text-body text-ink">{what}</Text>
            <Version who="You" text={mine} />
            <Version who={who} text={other} />
          </View>
        ))}
      </View>
      <View className="gap-2">
        <Button label="Keep mine in these" look="full" onPress={() => onDecide("mine")} />
        <Button
          label={by ? `Take ${by}'s in these` : "Take theirs in these"}
          onPress={() => onDecide("theirs")}
        />
      </View>
      <Text className="font-text text-small text-muted">
        What is not taken stays under More, Earlier versions.
      </Text>
    </View>
  );
}

function Version({ who, text }: { who: string; text: string }) {
  return (
    <View className="flex-row gap-3">
      <Text className="w-24 font-text text-body text-muted" numberOfLines={2}>
        {who}
      </Text>
      <Text className="flex-1 font-text text-body text-ink">{text}</Text>
    </View>
  );
}
