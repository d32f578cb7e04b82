import type { Start } from "@tonodrome/core/api";
import { Text, View } from "react-native";
import { useDeleteStart, useSaveStart } from "~/data/resources/starts";
import { Button } from "~/ui/Button";
import { FieldError } from "~/ui/fields/Field";

/** A round that takes place only if they are through: one press says which it is. Not through can be taken back as any deletion. */
export function IfThrough({ start, mayBuild }: { start: Start; mayBuild: boolean }) {
  const save = useSaveStart();
  const remove = useDeleteStart();
  const isPending = save.isPending || remove.isPending;
  const failure = save.error ?? remove.error;
  const { ifThrough: _, ...certain } = start.setting;
  return (
    <View className="flex-row flex-wrap items-center gap-2 pt-1">
      <Text className="font-strong text-body text-ink">If through</Text>
      {mayBuild ? (
        <>
          <Button
            label={`Through: ${start.athlete.name}, ${start.title}`}
            short="Through"
            icon="done"
            disabled={isPending}
            onPress={() => save.mutate({ start, changes: { setting: certain } })}
          />
          <Button
            label={`Not through: ${start.athlete.name}, ${start.title}`}
            short="Not through"
            disabled={isPending}
            onPress={() => remove.mutate(start)}
          />
        </>
      ) : null}
      {failure ? <FieldError text={failure.message} /> : null}
    </View>
  );
}
