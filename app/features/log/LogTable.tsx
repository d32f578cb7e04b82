import type { RunRow } from "@tonodrome/core/api";
import { Pressable, Text, View } from "react-native";
import { runRowWords } from "./runRowWords";

interface LogTableProps {
  rows: readonly RunRow[];
  /** Milliseconds since the epoch. */
  now: number;
  /** The run that stands beside it. */
  shownId: string | null;
  onShow: (id: string) => void;
}

/** What each column holds, and its part of the width. */
const COLUMNS = [
  ["Began", "w-[8.5rem]"],
  ["Athlete", "flex-1"],
  ["Done", "w-[8rem]"],
  ["Time", "w-[7rem] items-end"],
] as const;

/** Runs as a table: a press shows one beside it. */
export function LogTable({ rows, now, shownId, onShow }: LogTableProps) {
  return (
    <View role="table" aria-label="Runs">
      <View role="rowgroup">
        <View role="row" className="flex-row gap-3 px-2 pb-1">
          {COLUMNS.map(([name, width]) => (
            <View key={name} role="columnheader" className={width}>
              <Text className="font-text text-small text-muted">{name}</Text>
            </View>
          ))}
        </View>
      </View>
      <View role="rowgroup">
        {rows.map((row) => {
          const { when, what, done, real, against } = runRowWords(row, now);
          const shown = row.id === shownId;
          const ink = shown ? "text-on-press" : "text-ink";
          const muted = shown ? "text-on-press" : "text-muted";
          return (
            <View
              key={row.id}
              role="row"
              className={`flex-row gap-3 border-t-2 border-line px-2 py-2 ${shown ? "bg-press" : ""}`}
            >
              <View role="cell" className={COLUMNS[0][1]}>
                <Text className={`font-text text-small ${ink}`}>{when}</Text>
              </View>
              <View role="cell" className={COLUMNS[1][1]}>
                <Pressable
                  role="button"
                  aria-pressed={shown}
                  aria-label={`${row.athleteName}, ${what}, ${when}`}
                  onPress={() => onShow(row.id)}
                  className="min-h-press justify-center"
                >
                  <Text className={`font-strong text-body ${ink}`}>{row.athleteName}</Text>
                  <Text className={`font-text text-small ${muted}`}>{what}</Text>
                </Pressable>
              </View>
              <View role="cell" className={COLUMNS[2][1]}>
                <Text className={`font-text text-small ${muted}`}>{done}</Text>
              </View>
              <View role="cell" className={COLUMNS[3][1]}>
                <Text className={`font-figures text-body ${ink}`} style={{ fontVariant: ["tabular-nums"] }}>
                  {real}
                </Text>
                <Text className={`font-text text-small ${muted}`}>{against}</Text>
              </View>
            </View>
          );
        })}
      </View>
    </View>
  );
}
