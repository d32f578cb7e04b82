import { memo } from "react";
import { View } from "react-native";
import type { PlanDraft } from "~/data/planDraft";
import { Button } from "~/ui/Button";
import { Notice } from "~/ui/Notice";

interface PlanNoticesProps {
  draft: PlanDraft;
  /** Why the time available could not be saved. */
  failure: string | null;
  empty: boolean;
  /** Whether the start has passed. */
  over: boolean;
  /** Null for somebody who may not. */
  onAdd: (() => void) | null;
}

/** Whatever there is to know about the plan as a whole, above the stair. */
export const PlanNotices = memo(function PlanNotices({
  draft,
  failure,
  empty,
  over,
  onAdd,
}: PlanNoticesProps) {
  const { conflict } = draft;
  return (
    <View className="gap-2 pb-2">
      {conflict ? (
        <Notice
          warn
          text={`Someone else saved this warm-up while you were changing it: theirs is version ${conflict.version} with ${conflict.body.items.length} drills, yours has ${draft.body.items.length}. Nothing is lost: whichever you take, the other stays under Wait and steps, Earlier versions.`}
          actions={[
            { label: "Keep mine", onPress: () => void draft.keepMine() },
            { label: "Take theirs", onPress: draft.takeTheirs },
          ]}
        />
      ) : null}
      {draft.failure ? (
        <Notice
          warn
          text={draft.failure}
          actions={[{ label: "Try again", onPress: () => void draft.save() }]}
        />
      ) : null}
      {failure ? <Notice warn text={failure} /> : null}
      {draft.restored && !conflict ? (
        <Notice
          text="Changes from earlier that were not saved are here again."
          actions={[{ label: "Drop them", onPress: draft.takeTheirs }]}
        />
      ) : null}
      {over ? <Notice text="This start has passed." /> : null}
      {empty && !onAdd ? (
        <Notice text="No drills yet. A coach of the club has not built this warm-up." />
      ) : null}
      {empty && onAdd ? (
        <View className="gap-2">
          <Notice text="No drills yet. Add the first from the shelf: something easy that raises warmth, then mobility, then the sport's own actions from easy to hard." />
          <Button label="Add the first drill" icon="add" look="full" onPress={onAdd} />
        </View>
      ) : null}
    </View>
  );
});
