import { Text } from "react-native";
import type { StartDraft } from "~/data/resources/startDraft";
import { Notice } from "~/ui/layout/Notice";

/** Whether what is edited has been saved, quietly; or why not, with a way to try again. */
export function SavedLine({ state, save }: Pick<StartDraft<object>, "state" | "save">) {
  if (state.failed)
    return (
      <Notice
        warn
        text={`${state.words} What you changed is still here.`}
        actions={[{ label: "Save again", onPress: save }]}
      />
    );
  return (
    <Text role="status" className="font-text text-small text-muted">
      {state.words}
    </Text>
  );
}
