import { calledLine, type DrillDetails } from "@tonodrome/core";
import { Text, View } from "react-native";

interface DrillKnowledgeProps {
  details: DrillDetails;
  /** Only what is needed while it is done. */
  brief?: boolean;
}

/** What to see, feel and listen for, what usually goes wrong, and what to be careful of. */
export function DrillKnowledge({ details, brief = false }: DrillKnowledgeProps) {
  const { cues, faults, cautions, equipment, people, called } = details;
  const lines = [
    ["See", cues.see],
    ["Feel", cues.feel],
    ["Listen", cues.listen],
    ["Called", called ? calledLine(called) : ""],
    ["Faults", brief ? "" : faults.join("; ")],
    ["Caution", cautions.join(" ")],
    ["Needs", brief ? "" : [...equipment, ...(people > 1 ? [`${people} people`] : [])].join(", ")],
  ].filter(([, text]) => text);
  if (lines.length === 0) return null;
  return (
    <View>
      {lines.map(([name, text]) => (
        <View key={name} className="flex-row gap-3 border-t border-line py-2">
          <Text className="w-20 font-text text-body text-muted">{name}</Text>
          <Text className="flex-1 font-text text-body text-ink">{text}</Text>
        </View>
      ))}
    </View>
  );
}
