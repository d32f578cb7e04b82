import { Text, View } from "react-native";
import { useClubRuns } from "~/data/resources/openRuns";
import { Button } from "~/ui/Button";

interface FollowBarProps {
  runId: string;
  /** Null for somebody who may not run. */
  onTake: (() => void) | null;
}

/** Who runs what is shown here, and the press that goes on with it on this device. */
export function FollowBar({ runId, onTake }: FollowBarProps) {
  const by = useClubRuns().find((r) => r.id === runId)?.by ?? null;
  return (
    <View className="flex-row flex-wrap items-center gap-2 border-t-2 border-line bg-paper px-4 py-2">
      <Text className="min-w-40 flex-1 font-text text-body text-ink" role="status" numberOfLines={2}>
        {by ?? "Another device"} is running this. You follow.
      </Text>
      {onTake ? <Button label="Take over" look="full" onPress={onTake} /> : null}
    </View>
  );
}
