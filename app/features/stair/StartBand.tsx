import { formatMinus } from "@tonodrome/core";
import type { Start } from "@tonodrome/core/api";
import { memo } from "react";
import { Text, View } from "react-native";
import { clockTime, dayName, foreignZone } from "~/ui/dates";
import { words } from "~/ui/words";

interface StartBandProps {
  start: Pick<Start, "startsAt" | "zone">;
  /** Whole seconds. */
  untilStart: number;
  /** When the first drill begins, in words. */
  begin: string;
}

const HOURS = 12 * 3600;

/** The start across the foot: the line that everything above is counted back from. */
export const StartBand = memo(function StartBand({ start, untilStart, begin }: StartBandProps) {
  const zone = foreignZone(start.zone);
  const day = dayName(start.startsAt, start.zone, Date.parse(start.startsAt) - untilStart * 1000);
  return (
    <View className="flex-row items-center gap-3 bg-signal px-4 py-2">
      <View className="flex-1">
        <Text className="font-strong text-body text-on-signal">{begin}</Text>
        <Text className="font-text text-small text-on-signal" numberOfLines={1}>
          {[
            day === "Today" ? words.start : `Start ${day}`,
            Math.abs(untilStart) < HOURS ? formatMinus(-untilStart) : null,
            zone ? `${zone} time` : null,
          ]
            .filter(Boolean)
            .join(", ")}
        </Text>
      </View>
      <Text className="font-figures text-figure text-on-signal" style={{ fontVariant: ["tabular-nums"] }}>
        {clockTime(start.startsAt, start.zone)}
      </Text>
    </View>
  );
});

/**
 * When to begin, in words.
 * @param beginsAt when the first drill begins, milliseconds since the epoch; the start itself when there is none
 */
export function beginWords(start: Pick<Start, "startsAt" | "zone">, beginsAt: number, now: number): string {
  if (Date.parse(start.startsAt) <= now) return "Started";
  if (beginsAt === Date.parse(start.startsAt)) return "Nothing to begin yet";
  return beginsAt > now ? `Begin at ${clockTime(beginsAt, start.zone)}` : "Begin now";
}
