import { memo } from "react";
import { View } from "react-native";
import type { WarmUpModel } from "~/features/warmup/model/useWarmUp";
import { Button } from "~/ui/Button";
import { words } from "~/ui/words";

interface ActionsProps {
  /** The time available, minutes, where it is another than the one that is saved; null where it is that. */
  newMinutes: number | null;
  saving: boolean;
  /** Whether a run of this start is under way. */
  running: WarmUpModel["running"];
  /** Whether there is nothing to run. */
  empty: boolean;
  mayBuild: boolean;
  mayRun: boolean;
  onRun: () => void;
  onAdd: () => void;
  onSave: () => void;
  onUndo: (() => void) | null;
  onRedo: (() => void) | null;
  onMore: () => void;
}

/** What is done with a warm-up. Keeping another time takes the largest place while there is one to keep. */
export const Actions = memo(function Actions({
  newMinutes,
  saving,
  running,
  empty,
  mayBuild,
  mayRun,
  onRun,
  onAdd,
  onSave,
  onUndo,
  onRedo,
  onMore,
}: ActionsProps) {
  return (
    <View className="flex-row flex-wrap gap-2 pb-2">
      {newMinutes !== null ? (
        <Button
          label={saving ? "Saving …" : `Keep ${newMinutes} min`}
          look="full"
          className="shrink-0 grow basis-auto"
          disabled={saving}
          onPress={onSave}
        />
      ) : mayRun && !empty ? (
        <Button
          label={running === "here" ? "Back to the run" : running ? "Follow the run" : words.run}
          icon="run"
          look="full"
          className="shrink-0 grow basis-auto"
          onPress={onRun}
        />
      ) : null}
      {newMinutes !== null && mayRun && !empty ? (
        <Button label={words.run} icon="run" iconOnly onPress={onRun} />
      ) : null}
      {onUndo ? <Button label={words.undo} icon="undo" iconOnly onPress={onUndo} /> : null}
      {onRedo ? <Button label={words.redo} icon="redo" iconOnly onPress={onRedo} /> : null}
      {mayBuild ? (
        <>
          <Button
            label="Add"
            icon="add"
            look={empty && newMinutes === null ? "full" : "outline"}
            className={empty ? "shrink-0 grow basis-auto" : ""}
            onPress={onAdd}
          />
          <Button label={words.more} icon="settings" iconOnly onPress={onMore} />
        </>
      ) : null}
    </View>
  );
});
