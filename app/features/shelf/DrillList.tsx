import {
  type DrillFilter,
  filterCount,
  findDrills,
  formatLength,
  idealLevel,
  levelsOf,
  noFilter,
  PHASES,
  phaseName,
} from "@tonodrome/core";
import type { ShelfDrill } from "@tonodrome/core/api";
import { memo, useMemo, useState } from "react";
import { Pressable, Text, View } from "react-native";
import { Button } from "~/ui/Button";
import { Field } from "~/ui/fields/Field";
import { Select } from "~/ui/fields/Select";
import { isByKey } from "~/ui/hooks/useKeys";
import { Notice } from "~/ui/layout/Notice";
import { toneClasses } from "~/ui/tone";
import { words } from "~/ui/words";
import { type DrillOrder, inOrder } from "./drillOrder";
import { Filters } from "./Filters";
import { ReadDrill } from "./ReadDrill";

const ALL = "all";
const PHASE_OPTIONS = [
  { value: ALL, label: "All parts" },
  ...PHASES.map((value) => ({ value, label: phaseName(value) })),
];

const ORDERS: { value: DrillOrder; label: string }[] = [
  { value: "phase", label: "By part" },
  { value: "recent", label: "Changed last" },
  { value: "used", label: "Used most" },
];

/** Drills shown at first, and more with every press. */
const PAGE = 60;

interface DrillListProps {
  drills: ShelfDrill[];
  /** With it each drill can be added; without it the list is only read. */
  onAdd?: (drill: ShelfDrill) => void;
  /** With it each drill can be opened. */
  onOpen?: ((drill: ShelfDrill) => void) | undefined;
  /** Ids of shelf drills that the plan already has. */
  added?: ReadonlySet<string>;
  /** The drill that stands beside the list, if one does. */
  shownId?: string | null;
}

/** Drills by part, by when they were changed or by use, found as one types and narrowed down by what is known of them. */
export function DrillList({ drills, onAdd, onOpen, added, shownId = null }: DrillListProps) {
  const [filter, setFilter] = useState(noFilter);
  const [order, setOrder] = useState<DrillOrder>("phase");
  const [filtering, setFiltering] = useState(false);
  const [most, setMost] = useState(PAGE);
  const found = useMemo(() => inOrder(findDrills(drills, filter), order), [drills, filter, order]);
  const narrowed = filterCount(filter) - (filter.phase ? 1 : 0);
  const [hasKeys] = useState(() => isByKey() || window.matchMedia?.("(pointer: fine)").matches === true);
  const change = (more: Partial<DrillFilter>) => {
    setFilter({ ...filter, ...more });
    setMost(PAGE);
  };
  return (
    <View className="gap-3">
      <Field
        label="Find"
        type="search"
        // Where there are keys one begins by typing; a finger would only get its keyboard in the way.
        autoFocus={onAdd !== undefined && hasKeys}
        value={filter.words}
        onChange={(e) => change({ words: e.currentTarget.value })}
      />
      <View className="flex-row gap-2">
        <View className="flex-1">
          <Select
            label="Part"
            options={PHASE_OPTIONS}
            value={filter.phase ?? ALL}
            onChange={(value) => change({ phase: PHASES.find((p) => p === value) ?? null })}
          />
        </View>
        <View className="flex-1">
          <Select
            label="Order"
            options={ORDERS}
            value={order}
            onChange={(value) => setOrder(ORDERS.find((o) => o.value === value)?.value ?? "phase")}
          />
        </View>
      </View>
      <Button
        label={filtering ? "Done" : narrowed === 0 ? "More filters" : `More filters, ${narrowed} set`}
        icon={filtering ? "fold" : "filter"}
        expanded={filtering}
        onPress={() => setFiltering(!filtering)}
      />
      {filtering ? (
        <>
          <Filters drills={drills} filter={filter} onChange={(next) => change(next)} />
          <Button
            label={`Show ${found.length} ${found.length === 1 ? "drill" : "drills"}`}
            look="full"
            onPress={() => setFiltering(false)}
          />
        </>
      ) : null}
      {found.length === 0 ? (
        <Notice
          text={
            drills.length === 0
              ? "The shelf is empty. Add a starter shelf, or make the first drill."
              : "No drill like that here."
          }
        />
      ) : null}
      <View role="list" aria-label={words.drills}>
        {filtering
          ? null
          : found
              .slice(0, most)
              .map((drill) => (
                <Row
                  key={drill.id}
                  drill={drill}
                  onAdd={onAdd}
                  onOpen={onOpen}
                  isAdded={added?.has(drill.id) ?? false}
                  isShown={drill.id === shownId}
                />
              ))}
      </View>
      {!filtering && found.length > most ? (
        <Button label={`Show ${found.length - most} more`} onPress={() => setMost(most + 4 * PAGE)} />
      ) : null}
    </View>
  );
}

interface RowProps {
  drill: ShelfDrill;
  onAdd?: ((drill: ShelfDrill) => void) | undefined;
  onOpen?: ((drill: ShelfDrill) => void) | undefined;
  isAdded: boolean;
  isShown: boolean;
}

const Row = memo(function Row({ drill, onAdd, onOpen, isAdded, isShown }: RowProps) {
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
  const [reading, setReading] = useState(false);
  const line = "flex-1 flex-row items-center gap-3";
  return (
    <View
      role="listitem"
      aria-current={isShown || undefined}
      className={`border-t border-line py-2 ${isShown ? "bg-tone-1" : ""}`}
    >
      <View className="flex-row items-center gap-3">
        {onAdd ? (
          // What it is can be read before it is added.
          <Pressable
            role="button"
            aria-expanded={reading}
            aria-label={`Read ${drill.name}`}
            className={line}
            onPress={() => setReading(!reading)}
          >
            {content}
          </Pressable>
        ) : onOpen ? (
          // The whole line for a finger; for keys and those who listen there is the button at its end.
          <Pressable tabIndex={-1} className={line} onPress={() => onOpen(drill)}>
            {content}
          </Pressable>
        ) : (
          <View className={line}>{content}</View>
        )}
        {onAdd ? (
          <Button label={`Add ${drill.name}`} icon="add" iconOnly onPress={() => onAdd(drill)} />
        ) : null}
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
      {reading ? <ReadDrill drill={drill} /> : null}
    </View>
  );
});
