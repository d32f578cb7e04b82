import { hashOf } from "@tonodrome/core";
import { type ListReading, type ListTable, readEntries } from "@tonodrome/core/start-list";
import { useRouter } from "expo-router";
import { useMemo, useState } from "react";
import { Text, View } from "react-native";
import { type ListToCompare, useComparedList, useTakeList } from "~/data/resources/startList";
import { Button } from "~/ui/Button";
import { Choice } from "~/ui/fields/Choice";
import { Notice } from "~/ui/layout/Notice";
import { takeWords } from "~/ui/takeWords";
import { ListColumns } from "./ListColumns";
import { ListRows } from "./ListRows";
import { countsOf, faultWords, summaryOf } from "./listWords";

interface ListPreviewProps {
  table: ListTable;
  reading: ListReading;
  onReading: (reading: ListReading) => void;
}

/** What would become of each row, and the press that takes all of it. */
export function ListPreview({ table, reading, onReading }: ListPreviewProps) {
  const router = useRouter();
  const [addAthletes, setAddAthletes] = useState(false);
  const { entries, faults } = useMemo(() => readEntries(table, reading), [table, reading]);
  /** Lines with faults that are left out; null while nobody said so. Of another reading nothing is left out unasked. */
  const [leftOut, setLeftOut] = useState<ReadonlySet<number> | null>(null);
  const list = useMemo((): ListToCompare | null => {
    const rows = entries.filter((entry) => !leftOut?.has(entry.line));
    return rows.length > 0 ? { rows, addAthletes } : null;
  }, [entries, addAthletes, leftOut]);
  const mark = useMemo(() => hashOf(JSON.stringify(list)), [list]);
  const compared = useComparedList(list, mark);
  const take = useTakeList();
  const news = compared.data ?? null;
  const told = news?.rows ?? [];
  const wrong = told.filter((row) => row.state === "fault");
  const counts = countsOf(news);
  const isLeftOut = leftOut !== null && wrong.length === 0;
  const faulty = new Set([...faults, ...wrong].map((row) => row.line)).size;
  const leaveOut = () => setLeftOut(new Set([...(leftOut ?? []), ...wrong.map((row) => row.line)]));
  return (
    <View className="gap-4">
      <ListColumns
        table={table}
        reading={reading}
        onChange={(next) => {
          setLeftOut(null);
          onReading(next);
        }}
      />
      {counts.other > 0 || addAthletes ? (
        <Choice
          label="Athletes who are not in the club"
          named
          options={[
            { value: "out", label: "Leave out" },
            { value: "in", label: "Add to the club" },
          ]}
          value={addAthletes ? "in" : "out"}
          onChange={(value) => {
            setLeftOut(null);
            setAddAthletes(value === "in");
          }}
        />
      ) : null}
      <Text role="status" className="font-strong text-lead text-ink" testID="list-summary">
        {list === null
          ? "Nothing to take yet"
          : news
            ? summaryOf(counts, faulty)
            : `Comparing ${entries.length} rows …`}
      </Text>
      {isLeftOut && faulty + leftOut.size > 0 ? (
        <Notice warn text={`${faulty + leftOut.size} with faults are left out.`} />
      ) : faulty > 0 ? (
        <Notice warn text={faultWords(faulty)} actions={[{ label: "Leave them out", onPress: leaveOut }]} />
      ) : null}
      {compared.error ? <Notice warn text={compared.error.message} /> : null}
      {take.error ? <Notice warn text={take.error.message} /> : null}
      <ListRows faults={faults} rows={told} entries={entries} />
      {list && news ? (
        <Button
          label={take.isPending ? "Taking it …" : takeWords(counts.fresh, counts.changed, "start")}
          look="full"
          disabled={take.isPending || counts.written === 0 || (faulty > 0 && !isLeftOut)}
          onPress={() => take.mutate({ list, news }, { onSuccess: () => router.replace("/") })}
        />
      ) : null}
    </View>
  );
}
