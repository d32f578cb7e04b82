import { describeChange, formatLength, formatMinus, type Placement, type PlanItem } from "@tonodrome/core";
import { memo } from "react";
import { Pressable, Text, View } from "react-native";
import { Icon } from "~/ui/Icon";
import { toneClasses } from "~/ui/tone";

/** Lowest strip, pixels, and how much it grows for each second beyond two minutes: a long drill looks long. */
const LEAST = 52;
const PER_SECOND = 0.14;

/** How far competition intensity is stepped in, as a share of the width; the strip has the rest. */
const STEP_IN = 24;

export const heightOf = (seconds: number): number => LEAST + Math.max(0, seconds - 120) * PER_SECOND;

export interface StripProps {
  placement: Placement;
  selected: boolean;
  /** Warns that the climb to this drill is steeper than the plan allows. */
  steep: boolean;
  onSelect: (id: string) => void;
}

/** One drill of the stair: tone and offset for its intensity, height for its length. */
export const Strip = memo(
  function Strip({ placement, selected, steep, onSelect }: StripProps) {
    const { item, level, beginSeconds } = placement;
    const press = () => onSelect(item.id);
    const label = describe(placement);
    return (
      <View className="flex-row">
        <Text
          className="w-[64px] pt-1 font-figures text-small text-muted"
          style={{ fontVariant: ["tabular-nums"] }}
          numberOfLines={1}
        >
          {level ? formatMinus(beginSeconds) : ""}
        </Text>
        <View className="flex-1">
          {level === null ? (
            <LeftOut item={item} label={label} selected={selected} onPress={press} />
          ) : item.phase === "kit" ? (
            <Gap placement={placement} label={label} selected={selected} onPress={press} />
          ) : (
            <Filled placement={placement} label={label} selected={selected} steep={steep} onPress={press} />
          )}
        </View>
      </View>
    );
  },
  (a, b) =>
    a.selected === b.selected &&
    a.steep === b.steep &&
    a.onSelect === b.onSelect &&
    a.placement.item === b.placement.item &&
    a.placement.levelIndex === b.placement.levelIndex &&
    // Where a drill that is left out would stand is not shown.
    (a.placement.level === null || a.placement.beginSeconds === b.placement.beginSeconds),
);

const ring = (selected: boolean) => (selected ? "outline outline-2 outline-offset-1 outline-ink" : "");

interface PartProps {
  placement: Placement;
  label: string;
  selected: boolean;
  onPress: () => void;
}

function Filled({ placement, label, selected, steep, onPress }: PartProps & { steep: boolean }) {
  const { item, level, ideal } = placement;
  const seconds = level?.seconds ?? 0;
  const tone = toneClasses(item.intensity);
  const change = level && level !== ideal ? describeChange(ideal, level) : "";
  return (
    <Pressable
      role="button"
      aria-label={label}
      aria-pressed={selected}
      onPress={onPress}
      className={`mb-[3px] px-3 py-1 ${tone.fill} ${ring(selected)}`}
      style={{
        minHeight: heightOf(seconds),
        width: `${100 - STEP_IN}%`,
        marginLeft: `${(item.intensity / 100) * STEP_IN}%`,
      }}
    >
      <View className="flex-row items-start gap-2">
        <Text className={`flex-1 font-strong text-body ${tone.text}`} numberOfLines={2}>
          {item.name}
        </Text>
        <Text className={`font-figures text-body ${tone.text}`} style={{ fontVariant: ["tabular-nums"] }}>
          {formatLength(seconds)}
        </Text>
      </View>
      <Text className={`font-text text-small ${tone.text}`} numberOfLines={2}>
        {item.intensity} %, {change || level?.words}
        {steep ? ", steep step" : ""}
      </Text>
    </Pressable>
  );
}

/** A kit change: an open gap between dashed lines. */
function Gap({ placement, label, selected, onPress }: PartProps) {
  const { item, level } = placement;
  const seconds = level?.seconds ?? 0;
  return (
    <Pressable
      role="button"
      aria-label={label}
      aria-pressed={selected}
      onPress={onPress}
      className={`mb-[3px] border-y-2 border-dashed border-muted px-3 py-1 ${ring(selected)}`}
      style={{ minHeight: heightOf(seconds) }}
    >
      <View className="flex-row items-start gap-2">
        <Text className="flex-1 font-strong text-body text-ink" numberOfLines={2}>
          {item.name}
        </Text>
        <Text className="font-figures text-body text-ink" style={{ fontVariant: ["tabular-nums"] }}>
          {formatLength(seconds)}
        </Text>
      </View>
      {item.place ? (
        <Text className="font-text text-small text-muted" numberOfLines={1}>
          {item.place}
        </Text>
      ) : null}
    </Pressable>
  );
}

/** A drill that did not fit: kept in sight, so that it is seen to come back. */
function LeftOut({
  item,
  label,
  selected,
  onPress,
}: {
  item: PlanItem;
  label: string;
  selected: boolean;
  onPress: () => void;
}) {
  return (
    <Pressable
      role="button"
      aria-label={label}
      aria-pressed={selected}
      onPress={onPress}
      className={`mb-[3px] min-h-press flex-row items-center gap-2 px-3 ${ring(selected)}`}
    >
      <Icon name="less" size={16} color="muted" />
      <Text className="flex-1 font-text text-body text-muted line-through" numberOfLines={1}>
        {item.name}
      </Text>
      <Text className="font-text text-small text-muted">left out</Text>
    </Pressable>
  );
}

function describe({ item, level, ideal, beginSeconds }: Placement): string {
  if (!level) return `${item.name}, left out`;
  const change = level === ideal ? "" : `, ${describeChange(ideal, level)}`;
  const effort = item.phase === "kit" ? "kit" : `${item.intensity} %`;
  return `${item.name}, ${effort}, ${level.words}${change}, ${formatLength(level.seconds)}, at ${formatMinus(beginSeconds)}`;
}
