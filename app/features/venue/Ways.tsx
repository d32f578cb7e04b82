import { formatLength, type Setting, wordKey } from "@tonodrome/core";
import { Text, View } from "react-native";
import { Amount } from "~/features/fields/fields";

type Travel = NonNullable<Setting["travel"]>;

interface WaysProps {
  places: readonly string[];
  travel: Travel;
  onChange: (travel: Travel) => void;
}

/** How long it takes from each place to each other, changing included. */
export function Ways({ places, travel, onChange }: WaysProps) {
  const pairs = places.flatMap((from, i) => places.slice(i + 1).map((to) => ({ from, to })));
  return (
    <View className="gap-1">
      <Text className="font-strong text-body text-ink">Ways between places</Text>
      {pairs.map(({ from, to }) => {
        const known = travel.find((t) => joins(t, from, to));
        const others = travel.filter((t) => t !== known);
        return (
          <Amount
            key={`${from}\n${to}`}
            label={`${from} to ${to}`}
            value={known?.seconds ?? 0}
            least={0}
            most={14_400}
            step={30}
            show={(s) => (s === 0 ? "next door" : formatLength(s))}
            onChange={(seconds) => onChange(seconds === 0 ? others : [...others, { from, to, seconds }])}
          />
        );
      })}
    </View>
  );
}

function joins(way: Travel[number], a: string, b: string): boolean {
  const ends = [wordKey(way.from), wordKey(way.to)];
  return ends.includes(wordKey(a)) && ends.includes(wordKey(b));
}
