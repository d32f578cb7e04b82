import { useState } from "react";
import type { z } from "zod";
import { Button, type ButtonProps } from "~/ui/Button";
import { Notice } from "~/ui/layout/Notice";
import { Field } from "./Field";

interface NameFormProps {
  label: string;
  hint?: string;
  first?: string;
  /** The value is a password. */
  secret?: boolean;
  schema: z.ZodType<string>;
  action: string;
  look?: ButtonProps["look"];
  send: (name: string) => void;
  pending: boolean;
  failure: string | null;
}

/** One line to give, a name or a password, checked before it is sent. */
export function NameForm({
  label,
  hint,
  first = "",
  secret = false,
  schema,
  action,
  look = "full",
  send,
  pending,
  failure,
}: NameFormProps) {
  const [text, setText] = useState(first);
  const [fault, setFault] = useState<string | undefined>();
  const submit = () => {
    const checked = schema.safeParse(text);
    setFault(checked.success ? undefined : checked.error.issues[0]?.message);
    if (checked.success) send(checked.data);
  };
  return (
    <form
      className="flex flex-col gap-3"
      noValidate
      onSubmit={(e) => {
        e.preventDefault();
        submit();
      }}
    >
      <Field
        label={label}
        hint={hint ?? null}
        {...(secret ? { type: "password", autoComplete: "current-password" } : { autoComplete: "off" })}
        value={text}
        error={fault}
        onChange={(e) => setText(e.currentTarget.value)}
      />
      {failure ? <Notice warn text={failure} /> : null}
      <Button label={pending ? "One moment …" : action} look={look} disabled={pending} onPress={submit} />
    </form>
  );
}
