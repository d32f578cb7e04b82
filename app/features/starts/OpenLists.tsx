import { listOf } from "@tonodrome/core";
import { Text } from "react-native";
import { useOpenLists } from "~/data/resources/days";

/** Lines that are named; more are counted. */
const NAMED = 3;

/** What is still to be packed, or to be there, for a start; nothing where nobody has begun to tick. */
export function OpenLists({ startId }: { startId: string }) {
  const lists = useOpenLists().data?.lists.filter((l) => l.startId === startId) ?? [];
  return lists.map(({ name, kind, open, lines }) => {
    const more = open.length > NAMED ? [`${open.length - NAMED} more`] : [];
    return (
      <Text key={name} className="font-text text-small text-muted" numberOfLines={1} testID="open-list">
        {kind === "pack" ? "To pack" : name}: {listOf([...open.slice(0, NAMED), ...more])} ({open.length} of{" "}
        {lines}
        {" open)"}
      </Text>
    );
  });
}
