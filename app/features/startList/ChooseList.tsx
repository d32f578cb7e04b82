import { useState } from "react";
import { Text, View } from "react-native";
import { Button } from "~/ui/Button";
import { FilePicker } from "~/ui/fields/FilePicker";
import { fonts } from "~/ui/tokens";
import { words } from "~/ui/words";

interface ChooseListProps {
  onFile: (file: File) => void;
  onText: (name: string, text: string) => void;
}

/** A file, or a text that is pasted. */
export function ChooseList({ onFile, onText }: ChooseListProps) {
  const [text, setText] = useState("");
  return (
    <View className="gap-4">
      <Text className="font-text text-body text-ink">
        A table with heads (CSV) or a calendar (iCalendar). You see what becomes of every row before anything
        is changed.
      </Text>
      <FilePicker
        label={words.chooseAFile}
        look="full"
        what="File with the start list"
        accept=".csv,.tsv,.txt,.ics,text/csv,text/calendar"
        onFile={onFile}
      />
      <label htmlFor="pasted" style={{ fontFamily: fonts.strong, fontSize: "1.0625rem" }}>
        Or paste it, heads first
      </label>
      <textarea
        id="pasted"
        className="field"
        style={{ fontFamily: fonts.text, minHeight: "8rem" }}
        placeholder={"Name, Event, Date, Time, No.\nMira Lind, Final, 2026-12-05, 14:05, 4"}
        value={text}
        onChange={(e) => setText(e.currentTarget.value)}
      />
      <Button
        label="Read what was pasted"
        disabled={text.trim() === ""}
        onPress={() => onText("What was pasted", text)}
      />
    </View>
  );
}
