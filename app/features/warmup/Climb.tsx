import type { Finding, NamedCulprit, PlanItem } from "@tonodrome/core";
import { memo, type ReactNode, useMemo } from "react";
import { ScrollView } from "react-native";
import { SortableStrips } from "~/features/stair/SortableStrips";
import { Stair } from "~/features/stair/Stair";
import { CoverageStrip } from "~/features/warmup/dock/CoverageStrip";
import { useSame } from "~/ui/hooks/useSame";
import { useStable } from "~/ui/hooks/useStable";
import { PlanNotices, type PlanNoticesProps } from "./dock/PlanNotices";
import { type ShownFit, useFitAfter } from "./model/useHeldFit";
import type { WarmUpModel } from "./model/useWarmUp";

interface HeldStairProps extends Pick<WarmUpModel, "held" | "context" | "chosen"> {
  items: readonly PlanItem[];
  /** The fit that everything goes by. */
  settled: ShownFit;
  /** What keeps the essentials of it from fitting, where that had to be looked for. */
  explained: NamedCulprit | null;
  /** What there is to look at: marked where it is. */
  toLookAt: readonly Finding[];
  selectedId: string | null;
  /** What the selected drill opens to in its place. */
  opened: ReactNode;
  onSelect: (id: string) => void;
  onMove?: ((id: string, toIndex: number) => void) | undefined;
}

interface ClimbProps
  extends Omit<HeldStairProps, "items">,
    Omit<PlanNoticesProps, "empty">,
    Pick<WarmUpModel, "coverage"> {
  onCoverage: () => void;
}

/** What scrolls: news of the plan, the stair, and what of the event it touches. */
export const Climb = memo(function Climb(props: ClimbProps) {
  const { held, settled, context, explained, selectedId, opened, chosen, toLookAt, onSelect, onMove } = props;
  const { body, coverage, onCoverage } = props;
  const { items } = body;
  return (
    <ScrollView className="flex-1" contentContainerClassName="px-4 pb-2" testID="stair" tabIndex={0}>
      <PlanNotices {...props} />
      <HeldStair
        {...{
          items,
          held,
          settled,
          context,
          explained,
          selectedId,
          opened,
          chosen,
          toLookAt,
          onSelect,
          onMove,
        }}
      />
      {coverage && items.length > 0 ? <CoverageStrip coverage={coverage} onPress={onCoverage} /> : null}
    </ScrollView>
  );
});

/** The stair as it fits the time under the finger: nothing around it is drawn with each move. */
const HeldStair = memo(function HeldStair({
  items,
  held,
  settled,
  explained,
  chosen,
  onMove,
  ...stair
}: HeldStairProps) {
  const fit = useFitAfter(held, settled);
  const found = fit.state === "short" ? (fit.culprit ?? explained) : null;
  const culprit = useSame(found, found?.line);
  // In the order they are done; the same list as long as that is the same, so that dragging is not set up anew.
  const order = fit.placements.map((p) => p.item.id).join(" ");
  const ids = useMemo(() => order.split(" ").filter(Boolean), [order]);
  const move = useStable((id: string, to: number) => {
    const target = items.findIndex((i) => i.id === ids[to]);
    if (target >= 0) onMove?.(id, target);
  });
  const isSortable = onMove !== undefined && !chosen;
  const strips = useMemo(
    () => (isSortable ? <SortableStrips ids={ids} onMove={move} /> : null),
    [isSortable, ids, move],
  );
  return (
    <Stair {...stair} fit={fit} culprit={culprit} chosen={chosen}>
      {strips}
    </Stair>
  );
});
