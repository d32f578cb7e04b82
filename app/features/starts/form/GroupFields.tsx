import { MOST_IN_GROUP } from "@tonodrome/core";
import { Text, View } from "react-native";
import { Button } from "~/ui/Button";
import { MultiChoice } from "~/ui/fields/MultiChoice";
import { Fold } from "~/ui/layout/Fold";
import { words } from "~/ui/words";

interface GroupFieldsProps {
  /** Athletes of the club besides the one whose start it is. */
  others: readonly { id: string; name: string }[];
  /** Ids of those who are in the group. */
  group: readonly string[];
  onChange: (group: string[]) => void;
}

/** Who warms up with the athlete, all led by one coach. */
export function GroupFields({ others, group, onChange }: GroupFieldsProps) {
  const known = group.filter((id) => others.some((o) => o.id === id));
  const most = MOST_IN_GROUP - 1;
  const put = (ids: readonly string[]) => onChange(ids.slice(0, most));
  if (others.length === 0) return null;
  return (
    <Fold
      title={known.length > 0 ? `Warms up in a group of ${known.length + 1}` : "Warms up in a group"}
      open={known.length > 0}
    >
      <Text className="font-text text-small text-muted">
        One warm-up for all of them: for the age of the youngest, and sparing what any of them spares.
      </Text>
      <MultiChoice
        label="With"
        options={others.map(({ id, name }) => ({ value: id, label: name }))}
        values={known}
        onChange={put}
      />
      <View className="flex-row flex-wrap gap-2">
        {known.length < Math.min(most, others.length) ? (
          <Button label="All of the club" onPress={() => put(others.map((o) => o.id))} />
        ) : null}
        {known.length > 0 ? <Button label={words.alone} onPress={() => onChange([])} /> : null}
      </View>
      {others.length > most ? (
        <Text className="font-text text-small text-muted">At most {MOST_IN_GROUP} warm up as one group.</Text>
      ) : null}
    </Fold>
  );
}
