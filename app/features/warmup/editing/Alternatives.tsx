import { LINKS, type LinkName, type PlanItem } from "@tonodrome/core";
import type { ShelfDrill } from "@tonodrome/core/api";
import { View } from "react-native";
import { Button } from "~/ui/Button";

const WORDS: Record<LinkName, string> = {
  easier: "Easier",
  harder: "Harder",
  instead: "Instead",
};

interface AlternativesProps {
  item: PlanItem;
  drills: readonly ShelfDrill[];
  onSwap: (drill: ShelfDrill) => void;
}

/** Drills of the shelf to take in this one's place, in one press. */
export function Alternatives({ item, drills, onSwap }: AlternativesProps) {
  const links = LINKS.flatMap((link) => {
    const drill = drills.find((d) => d.id === item.details?.[link] && !d.archived);
    return drill ? [{ link, drill }] : [];
  });
  if (links.length === 0) return null;
  return (
    <View className="gap-2" role="group" aria-label="Alternatives">
      {links.map(({ link, drill }) => (
        <Button key={link} label={`${WORDS[link]}: ${drill.name}`} onPress={() => onSwap(drill)} />
      ))}
    </View>
  );
}
