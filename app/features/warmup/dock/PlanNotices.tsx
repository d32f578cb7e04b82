import type { PlanBody } from "@tonodrome/core";
import { memo } from "react";
import { View } from "react-native";
import type { PlanConflict } from "~/data/plan/planDraft";
import { FillNews } from "~/features/fill/FillNews";
import { Button } from "~/ui/Button";
import { Notice } from "~/ui/layout/Notice";
import { words } from "~/ui/words";

export interface PlanNoticesProps {
  body: PlanBody;
  /** The newer plan that a save ran into; null when there is none. */
  conflict: PlanConflict | null;
  /** Whose changes were merged with the user's; null for nobody's. */
  merged: string | null;
  /** Why the plan could not be saved. */
  unsaved: string | null;
  /** Whether edits from an earlier visit are here and nothing was done about them yet. */
  restored: boolean;
  /** Why the time available could not be saved. */
  failure: string | null;
  /** Whether the start has passed. */
  over: boolean;
  /** What the last fill had to say. */
  news: readonly string[] | null;
  /** Null for somebody who may not. */
  onAdd: (() => void) | null;
  onFill: () => void;
  onNews: () => void;
  onSave: () => void;
  onDecide: () => void;
  onMerged: () => void;
  onDrop: () => void;
}

/** Whatever there is to know about the plan as a whole, above the stair. */
export const PlanNotices = memo(function PlanNotices({
  body,
  conflict,
  merged,
  unsaved,
  restored,
  failure,
  over,
  news,
  onAdd,
  onFill,
  onNews,
  onSave,
  onDecide,
  onMerged,
  onDrop,
}: PlanNoticesProps) {
  const empty = body.items.length === 0;
  return (
    <View className="gap-2 pb-2 empty:hidden">
      {conflict ? (
        <Notice
          warn
          text={`${conflict.by ?? "Someone else"} saved this warm-up while you were changing it, and you both changed the same. Yours is kept here until you decide.`}
          actions={[{ label: "See both", onPress: onDecide }]}
        />
      ) : null}
      {merged !== null ? (
        <Notice
          text={`${merged || "Someone else"} saved this warm-up meanwhile. Their changes and yours are both in it.`}
          actions={[{ label: "Good", onPress: onMerged }]}
        />
      ) : null}
      {unsaved ? <Notice warn text={unsaved} actions={[{ label: words.tryAgain, onPress: onSave }]} /> : null}
      {failure ? <Notice warn text={failure} /> : null}
      {restored && !conflict ? (
        <Notice
          text="Changes from earlier that were not saved are here again."
          actions={[
            { label: "Save them", onPress: onSave },
            { label: "Drop them", onPress: onDrop },
          ]}
        />
      ) : null}
      {news ? <FillNews key={news.join()} news={news} onGood={onNews} /> : null}
      {over ? <Notice text="This start has passed." /> : null}
      {empty && !onAdd ? (
        <Notice text="No drills yet. A coach of the club has not built this warm-up." />
      ) : null}
      {empty && onAdd ? (
        <View className="gap-2">
          <Notice text="No drills yet. Fill it from an approach, an earlier warm-up or a template, or add drill by drill: something easy that raises warmth, then mobility, then the sport's own actions from easy to hard." />
          <Button label="Fill it for me" look="full" onPress={onFill} />
          <Button label="Add the first drill" icon="add" onPress={onAdd} />
        </View>
      ) : null}
    </View>
  );
});
