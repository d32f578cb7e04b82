import {
  areDatesOpen,
  DATE_ORDERS,
  type DateOrder,
  type ListField,
  type ListReading,
  type ListTable,
} from "@tonodrome/core/start-list";
import { View } from "react-native";
import { ZoneField } from "~/features/starts/form/ZoneField";
import { Choice } from "~/ui/fields/Choice";
import { Field } from "~/ui/fields/Field";
import { Select } from "~/ui/fields/Select";
import { Fold } from "~/ui/layout/Fold";
import { words } from "~/ui/words";

/** What the columns are called, in the order in which they are asked. */
const FIELDS: readonly [ListField, string][] = [
  ["athlete", words.athlete],
  ["givenName", "First name"],
  ["familyName", "Last name"],
  ["title", words.event],
  ["at", "Start, day and time"],
  ["date", words.day],
  ["time", "Time"],
  ["zone", "Time zone"],
  ["venue", words.venue],
  ["number", "Number in the order"],
];

const DATE_WORDS: Record<DateOrder, { label: string; example: string }> = {
  "year-first": { label: "Year first", example: "2026-12-05" },
  "day-first": { label: "Day first", example: "05.12.2026" },
  "month-first": { label: "Month first", example: "12/05/2026" },
};

interface ListColumnsProps {
  table: ListTable;
  reading: ListReading;
  onChange: (reading: ListReading) => void;
}

const NONE = "";

/** Which column is which, as it was recognised and can be corrected, and what holds for rows that do not say it. */
export function ListColumns({ table, reading, onChange }: ListColumnsProps) {
  const { columns, always } = reading;
  const set = (field: ListField, column: number | null) =>
    onChange({ ...reading, columns: { ...columns, [field]: column } });
  const say = (more: Partial<ListReading["always"]>) =>
    onChange({ ...reading, always: { ...always, ...more } });
  const options = [
    { value: NONE, label: "Not in the list" },
    ...table.heads.map((head, i) => ({ value: String(i), label: head || `Column ${i + 1}` })),
  ];
  const known = FIELDS.filter(([field]) => columns[field] !== null).map(([, label]) => label.toLowerCase());
  return (
    <View className="gap-3">
      {areDatesOpen(table, reading) ? (
        <Choice
          label="Dates are written with the"
          named
          options={DATE_ORDERS.map((value) => ({ value, ...DATE_WORDS[value] }))}
          value={reading.dates}
          onChange={(dates) => onChange({ ...reading, dates })}
        />
      ) : null}
      {columns.title === null ? (
        <Field
          label="Event of all of them"
          value={always.title}
          onChange={(e) => say({ title: e.currentTarget.value })}
        />
      ) : null}
      {columns.date === null && columns.at === null ? (
        <Field
          label="Day of all of them"
          type="date"
          value={always.date}
          onChange={(e) => say({ date: e.currentTarget.value })}
        />
      ) : null}
      {columns.venue === null ? (
        <Field
          label="Venue of all of them"
          value={always.venue}
          onChange={(e) => say({ venue: e.currentTarget.value })}
        />
      ) : null}
      {columns.zone === null ? (
        <ZoneField value={always.zone} onChange={(e) => say({ zone: e.currentTarget.value })} />
      ) : null}
      <Fold
        title={`Columns: ${known.join(", ") || "none known"}`}
        open={columns.athlete === null && columns.familyName === null && table.kind === "csv"}
      >
        <View className="gap-3">
          {FIELDS.map(([field, label]) => (
            <Select
              key={field}
              label={label}
              options={options}
              value={columns[field] === null ? NONE : String(columns[field])}
              onChange={(value) => set(field, value === NONE ? null : Number(value))}
            />
          ))}
        </View>
      </Fold>
    </View>
  );
}
