import { memo } from "react";
import { View } from "react-native";
import { Button } from "~/ui/Button";

interface ActionsProps {
  dirty: boolean;
  saving: boolean;
  /** Whether a run of this start is under way. */
  running: boolean;
  mayBuild: boolean;
  mayRun: boolean;
  onRun: () => void;
  onAdd: () => void;
  onSave: () => void;
  onUndo: (() => void) | null;
  onSettings: () => void;
}

/** What is done with a warm-up. Saving takes the largest place while there is something to save. */
export const Actions = memo(function Actions({
  dirty,
  saving,
  running,
  mayBuild,
  mayRun,
  onRun,
  onAdd,
  onSave,
  onUndo,
  onSettings,
}: ActionsProps) {
  return (
    <View className="flex-row gap-2 pb-2">
      {dirty ? (
        <Button
          label={saving ? "Saving …" : "Save"}
          look="full"
          className="flex-1"
          disabled={saving}
          onPress={onSave}
        />
      ) : mayRun ? (
        <Button
          label={running ? "Back to the run" : "Run"}
          icon="run"
          look="full"
          className="flex-1"
          onPress={onRun}
        />
      ) : null}
      {dirty ? <Button label="Run" icon="run" iconOnly onPress={onRun} /> : null}
      {onUndo ? <Button label="Undo" icon="undo" iconOnly onPress={onUndo} /> : null}
      {mayBuild ? (
        <>
          <Button label="Add" icon="add" onPress={onAdd} />
          <Button label="Wait and steps" icon="settings" iconOnly onPress={onSettings} />
        </>
      ) : null}
    </View>
  );
});
