import { formatLength, formatMinus, type Placement, phaseName } from "@tonodrome/core";
import { View } from "react-native";
import { RungStair } from "~/features/dose/ladder/RungStair";
import { DrillFactList } from "~/features/shelf/DrillFactList";
import { DrillKnowledge } from "~/features/shelf/DrillKnowledge";
import { Notice } from "~/ui/layout/Notice";

/** One drill to read: what to do, how hard, where, and the one thing to attend to. */
export function DrillFacts({ placement, reason }: { placement: Placement; reason: string | null }) {
  const { item, level, ideal, beginSeconds } = placement;
  const facts = [
    ["Focus", item.focus],
    ["Do", (level ?? ideal).words],
    ["Takes", formatLength((level ?? ideal).seconds)],
    ["Begins at", level ? formatMinus(beginSeconds) : "left out for now"],
    ["Intensity", item.phase === "kit" ? "" : `${item.intensity} %`],
    ["Part", phaseName(item.phase)],
    ["Place", item.place],
  ] as const;
  return (
    <View className="gap-3">
      {reason ? <Notice text={reason} /> : null}
      <DrillFactList facts={facts} />
      {(level ?? ideal).rungs ? <RungStair rungs={(level ?? ideal).rungs ?? []} /> : null}
      {item.details ? <DrillKnowledge details={item.details} /> : null}
    </View>
  );
}
