import type { PlanBody, Replacement } from "@tonodrome/core";
import type { Plan, ShelfDrill } from "@tonodrome/core/api";
import { memo } from "react";
import { View } from "react-native";
import { FillNews } from "~/features/fill/FillNews";
import { Button } from "~/ui/Button";
import { Notice } from "~/ui/layout/Notice";

export interface PlanNoticesProps {
  body: PlanBody;
  /** The newer plan that a save ran into; null when there is none. */
  conflict: Plan | null;
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
  sparing: readonly Replacement<ShelfDrill>[];
  /** Null for somebody who may not. */
  onAdd: (() => void) | null;
  onFill: () => void;
  onSpare: () => void;
  onNews: () => void;
  onSave: () => void;
  onKeepMine: () => void;
  onTakeTheirs: () => void;
}

/** Whatever there is to know about the plan as a whole, above the stair. */
export const PlanNotices = memo(function PlanNotices({
  body,
  conflict,
  unsaved,
  restored,
  failure,
  over,
  news,
  sparing,
  onAdd,
  onFill,
  onSpare,
  onNews,
  onSave,
  onKeepMine,
  onTakeTheirs,
}: PlanNoticesProps) {
  const empty = body.items.length === 0;
  return (
    <View className="gap-2 pb-2">
      {conflict ? (
        <Notice
          warn
          text={`Someone else saved this warm-up while you were changing it: theirs is version ${conflict.version} with ${conflict.body.items.length} drills, yours has ${body.items.length}. Nothing is lost: whichever you take, the other stays under More, Earlier versions.`}
          actions={[
            { label: "Keep mine", onPress: onKeepMine },
            { label: "Take theirs", onPress: onTakeTheirs },
          ]}
        />
      ) : null}
      {unsaved ? <Notice warn text={unsaved} actions={[{ label: "Try again", onPress: onSave }]} /> : null}
      {failure ? <Notice warn text={failure} /> : null}
      {restored && !conflict ? (
        <Notice
          text="Changes from earlier that were not saved are here again."
          actions={[
            { label: "Save them", onPress: onSave },
            { label: "Drop them", onPress: onTakeTheirs },
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
