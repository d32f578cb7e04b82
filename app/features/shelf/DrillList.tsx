import { formatLength, idealLevel, levelsOf, PHASES, type Phase, phaseName } from "@tonodrome/core";
import type { Drill } from "@tonodrome/core/api";
import { memo, useState } from "react";
import { Text, View } from "react-native";
import { Button } from "~/ui/Button";
import { Choice } from "~/ui/Choice";
import { Field } from "~/ui/Field";
import { Notice } from "~/ui/Notice";
import { toneClasses } from "~/ui/tone";

type Filter = Phase | "all";

const FILTERS: { value: Filter; label: string }[] = [
  { value: "all", label: "All" },
  ...PHASES.map((value) => ({ value, label: phaseName(value) })),
];

interface DrillListProps {
  drills: Drill[];
  /** With it each drill can be added; without it the list is only read. */
  onAdd?: (drill: Drill) => void;
  /** Ids of shelf drills that the plan already has. */
  added?: ReadonlySet<string>;
}

/** Drills by phase, found as one types. */
export function DrillList({ drills, onAdd, added }: DrillListProps) {
  const [phase, setPhase] = useState<Filter>("all");
  const [words, setWords] = useState("");
  const wanted = words.trim().toLocaleLowerCase();
  const found = drills.filter(
    (d) =>
      (phase === "all" || d.phase === phase) &&
      `${d.name} ${d.focus} ${d.place}`.toLocaleLowerCase().includes(wanted),
  );
  return (
    <View className="gap-3">
      <Field label="Find" type="search" value={words} onChange={(e) => setWords(e.currentTarget.value)} />
      <Choice label="Phase" options={FILTERS} value={phase} onChange={setPhase} />
      {found.length === 0 ? (
        <Notice
          text={
            drills.length === 0 ? "The shelf is empty. Make the first drill." : "No drill like that here."
          }
        />
      ) : null}
      <View role="list">
        {PHASES.flatMap((p) => found.filter((d) => d.phase === p)).map((drill) => (
          <Row key={drill.id} drill={drill} onAdd={onAdd} isAdded={added?.has(drill.id) ?? false} />
        ))}
      </View>
    </View>
  );
}

interface RowProps {
  drill: Drill;
  onAdd?: ((drill: Drill) => void) | undefined;
  isAdded: boolean;
}

const Row = memo(function Row({ drill, onAdd, isAdded }: RowProps) {
  const level = levelsOf(drill.dose)[idealLevel(drill.dose)];
  const tone = toneClasses(drill.intensity);
  return (
    <View role="listitem" className="flex-row items-center gap-3 border-t border-line py-2">
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
          ]
            .filter(Boolean)
            .join(", ")}
        </Text>
      </View>
      {onAdd ? <Button label={`Add ${drill.name}`} icon="add" iconOnly onPress={() => onAdd(drill)} /> : null}
    </View>
  );
});
