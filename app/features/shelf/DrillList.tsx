import { formatLength, idealLevel, levelsOf, PHASES, type Phase, phaseName } from "@tonodrome/core";
import type { ShelfDrill } from "@tonodrome/core/api";
import { memo, useMemo, useState } from "react";
import { Pressable, Text, View } from "react-native";
import { Button } from "~/ui/Button";
import { Choice } from "~/ui/Choice";
import { Field } from "~/ui/Field";
import { Notice } from "~/ui/Notice";
import { toneClasses } from "~/ui/tone";

type Filter = Phase | "all" | "off";
type Order = "phase" | "recent" | "used";

const FILTERS: { value: Filter; label: string }[] = [
  { value: "all", label: "All" },
  ...PHASES.map((value) => ({ value, label: phaseName(value) })),
];
const OFF_SHELF: { value: Filter; label: string } = { value: "off", label: "Off the shelf" };

const ORDERS: { value: Order; label: string }[] = [
  { value: "phase", label: "By phase" },
  { value: "recent", label: "Changed last" },
  { value: "used", label: "Used most" },
];

interface DrillListProps {
  drills: ShelfDrill[];
  /** With it each drill can be added; without it the list is only read. */
  onAdd?: (drill: ShelfDrill) => void;
  /** With it each drill can be opened. */
  onOpen?: ((drill: ShelfDrill) => void) | undefined;
  /** Ids of shelf drills that the plan already has. */
  added?: ReadonlySet<string>;
}

/** Drills by phase, by when they were changed or by use, found as one types. */
export function DrillList({ drills, onAdd, onOpen, added }: DrillListProps) {
  const [filter, setFilter] = useState<Filter>("all");
  const [order, setOrder] = useState<Order>("phase");
  const [words, setWords] = useState("");
  const found = useMemo(
    () => sorted(drills.filter(matches(filter, words)), order),
    [drills, filter, words, order],
  );
  const hasArchived = onOpen !== undefined && drills.some((d) => d.archived);
  return (
    <View className="gap-3">
      <Field label="Find" type="search" value={words} onChange={(e) => setWords(e.currentTarget.value)} />
      <Choice
        label="Phase"
        options={hasArchived ? [...FILTERS, OFF_SHELF] : FILTERS}
        value={filter}
        onChange={setFilter}
      />
      <Choice label="Order" options={ORDERS} value={order} onChange={setOrder} />
      {found.length === 0 ? (
        <Notice
          text={
            drills.length === 0 ? "The shelf is empty. Make the first drill." : "No drill like that here."
          }
        />
      ) : null}
      <View role="list">
        {found.map((drill) => (
          <Row
            key={drill.id}
            drill={drill}
            onAdd={onAdd}
            onOpen={onOpen}
            isAdded={added?.has(drill.id) ?? false}
          />
        ))}
      </View>
    </View>
  );
}

/** Whether a drill is among those looked for: every word somewhere in what is written of it. */
function matches(filter: Filter, words: string): (drill: ShelfDrill) => boolean {
  const wanted = words.trim().toLocaleLowerCase().split(/\s+/);
  return (d) => {
    if (d.archived !== (filter === "off")) return false;
    if (filter !== "all" && filter !== "off" && d.phase !== filter) return false;
    const text = `${d.name} ${d.focus} ${d.place}`.toLocaleLowerCase();
    return wanted.every((word) => text.includes(word));
  };
}

function sorted(drills: ShelfDrill[], order: Order): ShelfDrill[] {
  switch (order) {
    case "phase":
      return drills.toSorted((a, b) => PHASES.indexOf(a.phase) - PHASES.indexOf(b.phase));
    case "recent":
      return drills.toSorted((a, b) => Date.parse(b.changedAt) - Date.parse(a.changedAt));
    case "used":
      return drills.toSorted((a, b) => b.uses - a.uses);
  }
}

interface RowProps {
  drill: ShelfDrill;
  onAdd?: ((drill: ShelfDrill) => void) | undefined;
  onOpen?: ((drill: ShelfDrill) => void) | undefined;
  isAdded: boolean;
}

const Row = memo(function Row({ drill, onAdd, onOpen, isAdded }: RowProps) {
  const level = levelsOf(drill.dose)[idealLevel(drill.dose)];
  const tone = toneClasses(drill.intensity);
  const content = (
    <>
      <View className={`h-12 w-14 items-center justify-center ${drill.phase === "kit" ? "" : tone.fill}`}>
        <Text
          className={`font-figures text-body ${drill.phase === "kit" ? "text-muted" : tone.text}`}
          style={{ fontVariant: ["tabular-nums"] }}
        >
          {drill.phase === "kit" ? "kit" : `${drill.intensity} %`}
        </Text>
      </View>
      <View className="flex-1">
        <Text className="font-strong text-body text-ink" numberOfLines={2}>
          {drill.name}
        </Text>
        <Text className="font-text text-small text-muted" numberOfLines={2}>
          {[
            phaseName(drill.phase),
            level?.words,
            drill.dose.kind === "time" ? "" : formatLength(level?.seconds ?? 0),
            isAdded ? "in the plan" : "",
            onOpen && drill.uses > 0 ? `in ${drill.uses} ${drill.uses === 1 ? "warm-up" : "warm-ups"}` : "",
          ]
            .filter(Boolean)
            .join(", ")}
        </Text>
      </View>
    </>
  );
  const line = "flex-1 flex-row items-center gap-3";
  return (
    <View role="listitem" className="flex-row items-center gap-3 border-t border-line py-2">
      {onOpen ? (
        // The whole line for a finger; for keys and those who listen there is the button at its end.
        <Pressable tabIndex={-1} className={line} onPress={() => onOpen(drill)}>
          {content}
        </Pressable>
      ) : (
        <View className={line}>{content}</View>
      )}
      {onAdd ? <Button label={`Add ${drill.name}`} icon="add" iconOnly onPress={() => onAdd(drill)} /> : null}
      {onOpen ? (
        <Button
          label={`Open ${drill.name}`}
          icon="onward"
          iconOnly
          look="plain"
          onPress={() => onOpen(drill)}
        />
      ) : null}
    </View>
  );
});
