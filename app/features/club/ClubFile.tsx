import { useState } from "react";
import { Text, View } from "react-native";
import { useMembership } from "~/data/account/useAccount";
import { ApiFailure } from "~/data/client/api";
import { useExportAddress, useImportClub, useTableAddress } from "~/data/resources/club";
import { Choice } from "~/ui/fields/Choice";
import { FilePicker } from "~/ui/fields/FilePicker";
import { Notice } from "~/ui/layout/Notice";
import { Section } from "~/ui/layout/Section";
import { words } from "~/ui/words";

/** The whole club as a file, out and in. */
export function ClubFile() {
  const { demo } = useMembership();
  return (
    <View className="gap-6">
      <Export />
      {demo ? (
        <Notice text="Nothing is imported into the demo: create an account and a club for that." />
      ) : (
        <Import />
      )}
    </View>
  );
}

function Export() {
  const [edits, setEdits] = useState<"yes" | "no">("yes");
  const address = useExportAddress(edits === "yes");
  const tableAddress = useTableAddress();
  return (
    <Section title="Export">
      <Text className="font-text text-body text-muted">
        Athletes, drills, starts with their warm-ups, and the log, as one file of lines. It holds names of
        people: keep it where only you can read it.
      </Text>
      <Choice
        label="Earlier versions of warm-ups"
        options={[
          { value: "yes", label: "With earlier versions" },
          { value: "no", label: "Without them, much smaller" },
        ]}
        value={edits}
        onChange={setEdits}
      />
      <a
        href={address}
        download
        className="flex min-h-press items-center justify-center bg-press px-4 font-strong text-body text-on-press no-underline"
      >
        Export the club
      </a>
      <Text className="font-text text-body text-muted">
        As tables for a spreadsheet (CSV). Starts can be brought in again as a start list.
      </Text>
      <View className="flex-row flex-wrap gap-2">
        {TABLES.map(([table, label]) => (
          <a
            key={table}
            href={tableAddress(table)}
            download
            className="flex min-h-press items-center justify-center border-2 border-press px-4 font-strong text-body text-press no-underline"
          >
            {label}
          </a>
        ))}
      </View>
    </Section>
  );
}

/** What there is as a table. */
const TABLES = [
  ["shelf", "Shelf table"],
  ["starts", "Starts table"],
  ["log", "Log table"],
] as const;

function Import() {
  const read = useImportClub();
  const [name, setName] = useState<"keep" | "take">("keep");
  const path = read.error instanceof ApiFailure ? read.error.path : null;
  return (
    <Section title="Import">
      <Text className="font-text text-body text-muted">
        Fills an empty club with an exported one, all of it or nothing. A club that has something in it is
        left as it is.
      </Text>
      <Choice
        label={words.nameOfTheClub}
        options={[
          { value: "keep", label: "Keep this club's name" },
          { value: "take", label: "Take the file's" },
        ]}
        value={name}
        onChange={setName}
      />
      <FilePicker
        label={read.isPending ? "Importing …" : words.chooseAFile}
        disabled={read.isPending}
        what="File to import"
        accept="application/x-ndjson,application/json,.ndjson,.json"
        onFile={(file) => read.mutate({ file, name })}
      />
      {read.error ? (
        <Notice warn text={`${path ? `${placeWords(path)}: ` : ""}${read.error.message}`} />
      ) : null}
      {read.isSuccess ? <Notice text="Imported. Everything is where it was." /> : null}
    </Section>
  );
}

/** Where in the file a fault is: "lines.12.profile.notes" as a person says it. */
function placeWords(path: string): string {
  const [, line, field] = /^lines\.(\d+)\.?(.*)$/.exec(path) ?? [];
  if (!line) return `At ${path}`;
  return field ? `Line ${line}, ${field}` : `Line ${line}`;
}
