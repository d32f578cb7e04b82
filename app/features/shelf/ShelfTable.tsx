import type { ShelfTableNews } from "@tonodrome/core/api";
import { readShelfCsv } from "@tonodrome/core/tables";
import { useMemo } from "react";
import { Text, View } from "react-native";
import { useComparedShelf, useTakeShelf } from "~/data/resources/shelfTable";
import { Button } from "~/ui/Button";
import { Notice } from "~/ui/layout/Notice";
import { takeWords } from "~/ui/takeWords";

type Row = ShelfTableNews["drills"][number];

interface ShelfTableProps {
  /** The table as it was chosen. */
  text: string;
  onClose: () => void;
}

/** A table of drills: what would become of each, and the press that takes all of it. */
export default function ShelfTable({ text, onClose }: ShelfTableProps) {
  const read = useMemo(() => readShelfCsv(text), [text]);
  return "faults" in read ? (
    <View className="gap-3">
      <Notice warn text="Nothing was imported. Fix these in the table, and choose it again." />
      <View role="list" aria-label="Faults in the table">
        {read.faults.slice(0, MOST_SHOWN).map(({ line, column, message }) => (
          <Text
            key={`${line} ${column} ${message}`}
            role="listitem"
            className="py-1 font-text text-body text-ink"
          >
            {[`Line ${line}`, column].filter(Boolean).join(", ")}: {message}
          </Text>
        ))}
      </View>
      <Button label="Choose another" onPress={onClose} />
    </View>
  ) : read.drills.length === 0 ? (
    <Notice
      warn
      text="There is no drill in this table."
      actions={[{ label: "Choose another", onPress: onClose }]}
    />
  ) : (
    <Preview drills={read.drills} onClose={onClose} />
  );
}

/** More are no help. */
const MOST_SHOWN = 60;

type Drills = Extract<ReturnType<typeof readShelfCsv>, { drills: unknown }>["drills"];

function Preview({ drills, onClose }: { drills: Drills; onClose: () => void }) {
  const compared = useComparedShelf(drills);
  const take = useTakeShelf();
  const news = compared.data;
  if (take.data?.taken)
    return (
      <Notice
        text="Imported. It is on your shelf."
        actions={[{ label: "Close the table", onPress: onClose }]}
      />
    );
  const rows = news?.drills ?? [];
  const count = (state: Row["state"]) => rows.filter((r) => r.state === state).length;
  const written = count("new") + count("changed");
  const faults = count("fault");
  const told = rows.filter((r) => r.state !== "same");
  return (
    <View className="gap-3">
      <Text role="status" className="font-strong text-lead text-ink" testID="table-summary">
        {news
          ? [
              `${count("new")} new`,
              `${count("changed")} changed`,
              `${count("same")} as they are`,
              faults > 0 ? `${faults} with faults` : "",
            ]
              .filter(Boolean)
              .join(", ")
          : `Comparing ${drills.length} drills …`}
      </Text>
      {compared.error ? <Notice warn text={compared.error.message} /> : null}
      {take.error ? <Notice warn text={take.error.message} /> : null}
      {faults > 0 ? (
        <Notice warn text="Nothing is imported until the faults are fixed, in the table or on the shelf." />
      ) : null}
      <View role="list" aria-label="Drills of the table">
        {[...told.filter((r) => r.state === "fault"), ...told.filter((r) => r.state !== "fault")]
          .slice(0, MOST_SHOWN)
          .map((row) => (
            <View key={row.name} role="listitem" className="border-t border-line py-2">
              <Text className="font-strong text-body text-ink" numberOfLines={2}>
                {row.name}
              </Text>
              <Text className="font-text text-small text-muted">{becomes(row)}</Text>
            </View>
          ))}
      </View>
      {told.length > MOST_SHOWN ? (
        <Text className="font-text text-small text-muted">And {told.length - MOST_SHOWN} more.</Text>
      ) : null}
      {news ? (
        <Button
          label={take.isPending ? "Taking it …" : takeWords(count("new"), count("changed"), "drill")}
          look="full"
          disabled={take.isPending || written === 0 || faults > 0}
          onPress={() => take.mutate({ drills, agreed: news.mark })}
        />
      ) : null}
      <Button label="Choose another" onPress={onClose} />
    </View>
  );
}

const FIELDS: Record<Row["changed"][number], string> = {
  name: "name",
  phase: "phase",
  priority: "priority",
  intensity: "intensity",
  dose: "dose",
  focus: "focus",
  place: "place",
  details: "details",
  archived: "back on the shelf",
};

/** What becomes of a drill, or what is wrong with it. */
function becomes({ state, changed, unlinked, message }: Row): string {
  const said =
    state === "fault"
      ? (message ?? "")
      : state === "new"
        ? "New"
        : `Changed: ${changed.map((c) => FIELDS[c]).join(", ")}`;
  const left =
    unlinked > 0
      ? `${unlinked === 1 ? "an alternative" : `${unlinked} alternatives`} not on this shelf left out`
      : "";
  return [said, left].filter(Boolean).join("; ");
}
