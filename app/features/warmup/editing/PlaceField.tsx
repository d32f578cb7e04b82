import { noteSchema, wordKey } from "@tonodrome/core";
import { useState } from "react";
import { Choice } from "~/ui/fields/Choice";
import { TextEdit } from "~/ui/fields/TextEdit";

interface PlaceFieldProps {
  place: string;
  /** Places that are known of the day. */
  known: readonly string[];
  onChange: (place: string) => void;
}

const ELSEWHERE = "\u0000";

/** Where a drill is done: one of the day's places, or in the coach's words where that is none of them. */
export function PlaceField({ place, known, onChange }: PlaceFieldProps) {
  const found = known.find((p) => wordKey(p) === wordKey(place));
  const [typing, setTyping] = useState(false);
  const isElsewhere = typing || (place.trim() !== "" && found === undefined);
  const text = (
    <TextEdit
      label={known.length > 0 ? "Where else" : "Where"}
      value={place}
      check={noteSchema}
      onChange={onChange}
    />
  );
  if (known.length === 0) return text;
  return (
    <>
      <Choice
        named
        label="Where"
        options={[
          { value: "", label: "Anywhere" },
          ...known.map((value) => ({ value, label: value })),
          { value: ELSEWHERE, label: "Elsewhere" },
        ]}
        value={isElsewhere ? ELSEWHERE : (found ?? "")}
        onChange={(chosen) => {
          setTyping(chosen === ELSEWHERE);
          if (chosen !== ELSEWHERE) onChange(chosen);
          else if (found) onChange("");
        }}
      />
      {isElsewhere ? text : null}
    </>
  );
}
