import { useRef, useState } from "react";
import { Text, View } from "react-native";
import { ApiFailure } from "~/data/api";
import { useExportAddress, useImportClub } from "~/data/club";
import { Button } from "~/ui/Button";
import { Notice } from "~/ui/Notice";
import { Section } from "~/ui/Section";

/** The whole club as a file, out and in. */
export function ClubFile() {
  const address = useExportAddress();
  const read = useImportClub();
  const picker = useRef<HTMLInputElement>(null);
  const [unreadable, setUnreadable] = useState<string | null>(null);

  async function take(file: File | undefined) {
    if (!file) return;
    read.reset();
    setUnreadable(null);
    try {
      read.mutate(JSON.parse(await file.text()));
    } catch (error) {
      setUnreadable(`${file.name} is not JSON (${(error as Error).message}). Nothing was changed.`);
    }
  }

  const path = read.error instanceof ApiFailure ? read.error.path : null;
  return (
    <View className="gap-6">
      <Section title="Export">
        <Text className="font-text text-body text-muted">
          Athletes, drills, starts with their warm-ups and every edit, and the log, as one JSON file. It holds
          names of people: keep it where only you can read it.
        </Text>
        <a
          href={address}
          download
          className="flex min-h-press items-center justify-center bg-press px-4 font-strong text-body text-on-press no-underline"
        >
          Export the club
        </a>
      </Section>
      <Section title="Import">
        <Text className="font-text text-body text-muted">
          Fills an empty club with an exported one, all of it or nothing. A club that has something in it is
          left as it is.
        </Text>
        <input
          ref={picker}
          type="file"
          accept="application/json,.json"
          aria-label="File to import"
          className="hidden"
          onChange={(e) => {
            void take(e.currentTarget.files?.[0]);
            e.currentTarget.value = "";
          }}
        />
        <Button
          label={read.isPending ? "Importing …" : "Choose a file"}
          disabled={read.isPending}
          onPress={() => picker.current?.click()}
        />
        {unreadable ? <Notice warn text={unreadable} /> : null}
        {read.error ? <Notice warn text={`${path ? `At ${path}: ` : ""}${read.error.message}`} /> : null}
        {read.isSuccess ? <Notice text="Imported. Everything is where it was." /> : null}
      </Section>
    </View>
  );
}
