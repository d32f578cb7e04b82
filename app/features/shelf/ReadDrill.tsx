import { formatLength, idealLevel, levelsOf, phaseName } from "@tonodrome/core";
import type { ShelfDrill } from "@tonodrome/core/api";
import { View } from "react-native";
import { RungStair } from "~/features/dose/ladder/RungStair";
import { DrillFactList } from "./DrillFactList";
import { DrillKnowledge } from "./DrillKnowledge";

/** A drill of the shelf for whoever does not change it: what to do at its ideal, and all that is known of it. */
export function ReadDrill({ drill }: { drill: ShelfDrill }) {
  const { dose, focus, intensity, phase, place, details } = drill;
  const ideal = levelsOf(dose)[idealLevel(dose)];
  return (
    <View className="gap-3">
      <DrillFactList
        facts={[
          ["Focus", focus],
          ["Do", ideal?.words ?? ""],
          ["Takes", ideal ? formatLength(ideal.seconds) : ""],
          ["Intensity", phase === "kit" ? "" : `${intensity} %`],
          ["Part", phaseName(phase)],
          ["Place", place],
        ]}
      />
      {ideal?.rungs ? <RungStair rungs={ideal.rungs} /> : null}
      {details ? <DrillKnowledge details={details} /> : null}
    </View>
  );
}
