import { drillContent } from "@tonodrome/core";
import type { DrillInput, ShelfDrill } from "@tonodrome/core/api";
import { View } from "react-native";
import { ApiFailure } from "~/data/client/api";
import { useSaveDrill } from "~/data/resources/drills";
import { Button } from "~/ui/Button";
import { Notice } from "~/ui/layout/Notice";
import { words } from "~/ui/words";
import { DrillForm } from "./DrillForm";

interface EditDrillProps {
  /** As the shelf has it now. */
  drill: ShelfDrill;
  onCopy: () => void;
  onDone: () => void;
}

/** Changes a drill of the shelf, copies it, or takes it off. */
export function EditDrill({ drill, onCopy, onDone }: EditDrillProps) {
  const save = useSaveDrill();
  const { id, version, archived } = drill;
  const send = (input: DrillInput, isArchived: boolean) =>
    save.mutate({ id, write: { version, archived: isArchived, ...input } }, { onSuccess: onDone });
  const isStale = save.error instanceof ApiFailure && save.error.code === "version_conflict";
  return (
    <View className="gap-4">
      {drill.uses > 0 ? (
        <Notice
          text={`In ${drill.uses} ${drill.uses === 1 ? "warm-up" : "warm-ups"}, which keep it as it was; each can take the new version.`}
        />
      ) : null}
      <View className="flex-row gap-2">
        <Button label={words.copy} icon="copy" className="flex-1" onPress={onCopy} />
        <Button
          label={archived ? "Put back on the shelf" : "Take off the shelf"}
          className="flex-1"
          disabled={save.isPending}
          onPress={() => send(drillContent(drill), !archived)}
        />
      </View>
      <DrillForm
        first={drillContent(drill)}
        drillId={id}
        action="Save"
        pending={save.isPending}
        failure={
          save.error
            ? `${save.error.message}${isStale ? " Save again to put yours over it, or close this to keep theirs." : ""}`
            : null
        }
        onSubmit={(input) => send(input, archived)}
        onCancel={onDone}
      />
    </View>
  );
}
