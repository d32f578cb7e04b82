import type { Replacement } from "@tonodrome/core";
import type { ShelfDrill } from "@tonodrome/core/api";
import { memo } from "react";
import { View } from "react-native";
import type { PlanDraft } from "~/data/planDraft";
import { FillNews } from "~/features/fill/FillNews";
import { Button } from "~/ui/Button";
import { Notice } from "~/ui/Notice";

interface PlanNoticesProps {
  draft: PlanDraft;
  /** Why the time available could not be saved. */
  failure: string | null;
  empty: boolean;
  /** Whether the start has passed. */
  over: boolean;
  /** What the last fill had to say. */
  news: readonly string[] | null;
  sparing: readonly Replacement<ShelfDrill>[];
  /** Null for somebody who may not. */
  onAdd: (() => void) | null;
  onFill: () => void;
  onSpare: () => void;
  onNews: () => void;
}

/** Whatever there is to know about the plan as a whole, above the stair. */
export const PlanNotices = memo(function PlanNotices({
  draft,
  failure,
  empty,
  over,
  news,
  sparing,
  onAdd,
  onFill,
  onSpare,
  onNews,
}: PlanNoticesProps) {
  const { conflict } = draft;
  return (
    <View className="gap-2 pb-2">
      {conflict ? (
        <Notice
          warn
          text={`Someone else saved this warm-up while you were changing it: theirs is version ${conflict.version} with ${conflict.body.items.length} drills, yours has ${draft.body.items.length}. Nothing is lost: whichever you take, the other stays under More, Earlier versions.`}
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
          actions={[
            { label: "Save them", onPress: () => void draft.save() },
            { label: "Drop them", onPress: draft.takeTheirs },
          ]}
        />
      ) : null}
      {news ? <FillNews key={news.join()} news={news} onGood={onNews} /> : null}
      {sparing.length > 0 ? (
        <Notice
          warn
          text={sparingWords(sparing)}
          actions={[{ label: "See alternatives", onPress: onSpare }]}
        />
      ) : null}
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

/** "2 drills load the knee, which is to be spared." */
function sparingWords(sparing: readonly Replacement<ShelfDrill>[]): string {
  const areas = [...new Set(sparing.flatMap((s) => s.loads))];
  const drills = sparing.length === 1 ? "1 drill loads" : `${sparing.length} drills load`;
  return `${drills} the ${areas.join(", the ")}, to be spared on this day.`;
}
