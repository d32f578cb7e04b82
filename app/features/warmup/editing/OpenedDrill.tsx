import type { Placement } from "@tonodrome/core";
import { memo, type ReactNode, useMemo } from "react";
import { View } from "react-native";
import { DrillKnowledge } from "~/features/shelf/DrillKnowledge";
import type { WarmUpModel } from "~/features/warmup/model/useWarmUp";
import { Button } from "~/ui/Button";
import { words } from "~/ui/words";
import { DrillNotices } from "./DrillNotices";

interface OpenedDrillProps
  extends Pick<WarmUpModel, "findings" | "reason" | "mayBuild" | "move" | "dose" | "remove" | "open"> {
  placement: Placement;
  /** Its line in the plan, and how many there are. */
  index: number;
  count: number;
}

/** What the selected drill opens to in the stair; undefined where it stands beside it. */
export function useOpenedDrill(model: WarmUpModel, wide: boolean): ReactNode {
  const { selected, index, draft, findings, reason, mayBuild, move, dose, remove, open } = model;
  const count = draft.body.items.length;
  return useMemo(() => {
    if (wide) return undefined;
    if (!selected) return null;
    const known = { index, count, findings, reason, mayBuild };
    return <OpenedDrill placement={selected} {...known} {...{ move, dose, remove, open }} />;
  }, [wide, selected, index, count, findings, reason, mayBuild, move, dose, remove, open]);
}

/** What a strip opens to on a phone: what to look and listen for, and what is changed beside the hall; the rest is an edit away. */
export const OpenedDrill = memo(function OpenedDrill(props: OpenedDrillProps) {
  const { placement, index, count, findings, reason, mayBuild, move, dose, remove, open } = props;
  const { item } = placement;
  return (
    <View className="mb-2 gap-1 border-b-2 border-line pb-2" testID="opened">
      <DrillNotices findings={findings} onFindings={() => open("findings")} reason={reason} />
      {item.details ? <DrillKnowledge details={item.details} brief={mayBuild} /> : null}
      {mayBuild ? (
        <View className="flex-row flex-wrap gap-1">
          <Button label="Less of it" icon="less" iconOnly onPress={() => dose(-1)} />
          <Button label="More of it" icon="add" iconOnly onPress={() => dose(1)} />
          <Button
            label={words.earlier}
            icon="up"
            iconOnly
            disabled={index === 0}
            onPress={() => move(item.id, index - 1)}
          />
          <Button
            label={words.later}
            icon="down"
            iconOnly
            disabled={index === count - 1}
            onPress={() => move(item.id, index + 1)}
          />
          <Button label={words.remove} icon="remove" iconOnly onPress={remove} />
          <Button label="Edit" className="flex-1" onPress={() => open("drill")} />
        </View>
      ) : null}
    </View>
  );
});
