import { useState } from "react";
import { Text } from "react-native";
import { ApiFailure } from "~/data/api";
import { useDeleteAccount } from "~/data/door";
import { Button } from "~/ui/Button";
import { Field } from "~/ui/Field";
import { Notice } from "~/ui/Notice";
import { EnterSubmits } from "./SignInForm";

/** The end of one's account, which asks for the password so that it is never a slip. */
export function DeleteAccount() {
  const remove = useDeleteAccount();
  const [password, setPassword] = useState("");
  const isPlaced = remove.error instanceof ApiFailure && remove.error.path === "password";
  const submit = () => {
    if (password !== "") remove.mutate(password);
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
      <Text className="font-text text-body text-ink">
        Your name, your address and your sign-in are deleted for good. What you made in a club stays there; a
        club that nobody else is in goes with you. Where you are the only owner, make somebody else one first.
      </Text>
      <Field
        label="Your password"
        type="password"
        autoComplete="current-password"
        value={password}
        error={isPlaced ? remove.error?.message : undefined}
        onChange={(e) => setPassword(e.currentTarget.value)}
      />
      {remove.error && !isPlaced ? <Notice warn text={remove.error.message} /> : null}
      <Button
        label={remove.isPending ? "One moment …" : "Delete my account for good"}
        disabled={remove.isPending || password === ""}
        onPress={submit}
      />
      <EnterSubmits />
    </form>
  );
}
