import { Text } from "react-native";
import type { StartDraft } from "~/data/starts/useStartDraft";
import { Notice } from "~/ui/layout/Notice";

/** Whether what is edited has been saved, quietly; or why not, with a way to try again. */
export function SavedLine({ state, save }: Pick<StartDraft<object>, "state" | "save">) {
  // In sight wherever in the sheet the finger is.
  if (state.failed)
    return (
      <div className="sticky top-0 z-10 bg-paper">
        <Notice
          warn
          text={`${state.words} What you changed is still here.`}
          actions={[{ label: "Save again", onPress: save }]}
        />
      </div>
    );
  return (
    <Text role="status" className="font-text text-small text-muted">
      {state.words}
    </Text>
  );
}
