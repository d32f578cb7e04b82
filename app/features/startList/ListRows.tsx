import type { StartListNews } from "@tonodrome/core/api";
import type { ListFault } from "@tonodrome/core/start-list";
import { useMemo, useState } from "react";
import { Text, View } from "react-native";
import { Button } from "~/ui/Button";
import { placeMoment } from "~/ui/dates";
import { Choice } from "~/ui/fields/Choice";
import { Icon } from "~/ui/Icon";

type Row = StartListNews["rows"][number];

/** What can be said of a line. */
interface Line {
  /** Unlike any other's: a line may have several faults. */
  id: string;
  line: number;
  kind: "fault" | "new" | "changed" | "same" | "other";
  who: string;
  what: string;
  /** What becomes of it, or what is wrong with it: put into words only where it is drawn. */
  news: () => string;
}

const CHANGES: Record<Row["changed"][number], string> = {
  time: "time",
  venue: "venue",
  zone: "time zone",
  number: "number",
};

const KINDS: Record<Line["kind"], string> = {
  fault: "Faults",
  new: "New",
  changed: "Changed",
  same: "As they are",
  other: "Not of the club",
};

/** What one line is. */
const ONE: Record<Line["kind"], string> = {
  fault: "Fault",
  new: "New",
  changed: "Changed",
  same: "As it is",
  other: "Left out",
};

/** Kinds of which something comes. */
const BECOMES: ReadonlySet<Line["kind"]> = new Set(["new", "changed"]);

interface ListRowsProps {
  faults: readonly ListFault[];
  rows: readonly Row[];
  entries: readonly { line: number; startsAt: string; zone: string; number: number | null }[];
}

/** So many lines are drawn until more are asked for. */
const AT_ONCE = 60;

/** Every line of a list and what becomes of it: faults first. */
export function ListRows({ faults, rows, entries }: ListRowsProps) {
  const [only, setOnly] = useState<Line["kind"] | "all">("all");
  const [most, setMost] = useState(AT_ONCE);
  const lines = useMemo(() => linesOf(faults, rows, entries), [faults, rows, entries]);
  const kinds = (Object.keys(KINDS) as Line["kind"][]).filter((kind) => lines.some((l) => l.kind === kind));
  const chosen = kinds.some((kind) => kind === only) ? only : "all";
  const shown = lines.filter((line) => chosen === "all" || line.kind === chosen);
  if (lines.length === 0) return null;
  return (
    <View className="gap-2">
      {kinds.length > 1 ? (
        <Choice
          label="Lines to show"
          options={[
            { value: "all", label: "All" },
            ...kinds.map((kind) => ({
              value: kind,
              label: `${KINDS[kind]} ${lines.filter((l) => l.kind === kind).length}`,
            })),
          ]}
          value={chosen}
          onChange={(value) => setOnly(value as Line["kind"] | "all")}
        />
      ) : null}
      <View role="list" aria-label="Lines of the list">
        {shown.slice(0, most).map((line) => (
          <LineRow key={line.id} line={line} />
        ))}
      </View>
      {shown.length > most ? (
        <Button label={`Show ${shown.length - most} more`} onPress={() => setMost(most + 10 * AT_ONCE)} />
      ) : null}
    </View>
  );
}

function LineRow({ line: { line, kind, who, what, news } }: { line: Line }) {
  const isFault = kind === "fault";
  return (
    <View role="listitem" className="flex-row items-start gap-2 border-t border-line py-2">
      <Text
        className="w-12 font-figures text-body text-muted"
        style={{ fontVariant: ["tabular-nums"] }}
        aria-label={`Line ${line}`}
      >
        {line}
      </Text>
      <View className="flex-1">
        {who || what ? (
          <Text className="font-text text-body text-ink" numberOfLines={2}>
            {[who, what].filter(Boolean).join(", ")}
          </Text>
        ) : null}
        <View className="flex-row items-start gap-1">
          {isFault ? <Icon name="warn" size={18} /> : null}
          <Text className={`flex-1 text-small ${isFault ? "font-strong text-ink" : "font-text text-muted"}`}>
            {news()}
          </Text>
        </View>
      </View>
      <Text className={`text-small ${BECOMES.has(kind) ? "font-strong text-ink" : "font-text text-muted"}`}>
        {ONE[kind]}
      </Text>
    </View>
  );
}

function linesOf(
  faults: readonly ListFault[],
  rows: readonly Row[],
  entries: ListRowsProps["entries"],
): Line[] {
  const read = new Map(entries.map((entry) => [entry.line, entry]));
  const wrong = faults.map(
    ({ line, column, message }, i): Line => ({
      ...{ id: `fault ${i}`, line, kind: "fault", who: "", what: "" },
      news: () => (column ? `${column}: ${message}` : message),
    }),
  );
  const told = rows.map((row): Line => {
    const kind = row.state === "new-athlete" ? "new" : row.state;
    const id = String(row.line);
    return { id, line: row.line, kind, who: row.athlete, what: row.title, news: () => newsOf(row, read) };
  });
  return [...wrong, ...told.filter((l) => l.kind === "fault"), ...told.filter((l) => l.kind !== "fault")];
}

/** When it is, with its number, and what becomes of it; or what is wrong with it. */
function newsOf(
  { line, state, changed, message }: Row,
  read: ReadonlyMap<number, ListRowsProps["entries"][number]>,
): string {
  if (state === "fault") return message ?? "";
  const entry = read.get(line);
  return [
    entry ? placeMoment(entry.startsAt, entry.zone) : "",
    entry?.number ? `No. ${entry.number}` : "",
    state === "changed" ? `another ${changed.map((c) => CHANGES[c]).join(", ")}` : "",
    state === "new-athlete" ? "comes into the club" : "",
  ]
    .filter(Boolean)
    .join(", ");
}
