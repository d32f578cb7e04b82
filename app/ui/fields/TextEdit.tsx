import { useState } from "react";
import type { z } from "zod";
import { Field } from "./Field";

interface TextEditProps {
  label: string;
  value: string;
  check: z.ZodType<string>;
  onChange: (value: string) => void;
}

/** A text that is only handed on while it is one that can be kept; until then its fault is said. */
export function TextEdit({ label, value, check, onChange }: TextEditProps) {
  const [text, setText] = useState(value);
  const [told, setTold] = useState(value);
  // Changed by something else, such as undo or the shelf's version: what was typed here is not it any more.
  if (value !== told) {
    setTold(value);
    setText(value);
  }
  const answer = check.safeParse(text);
  return (
    <Field
      label={label}
      value={text}
      error={answer.error?.issues[0]?.message}
      onChange={(event) => {
        const next = event.currentTarget.value;
        setText(next);
        const { data } = check.safeParse(next);
        if (data === undefined) return;
        setTold(data);
        onChange(data);
      }}
    />
  );
}
