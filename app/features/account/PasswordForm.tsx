import { zodResolver } from "@hookform/resolvers/zod";
import { LEAST_PASSWORD, type PasswordChange, passwordChangeSchema } from "@tonodrome/core/api";
import { useForm } from "react-hook-form";
import { useChangePassword } from "~/data/resources/door";
import { Button } from "~/ui/Button";
import { Field } from "~/ui/fields/Field";
import { Notice } from "~/ui/layout/Notice";
import { words } from "~/ui/words";
import { EnterSubmits } from "./SignInForm";
import { placeError } from "./serverError";

/** Changes the password; every other session ends with it. */
export function PasswordForm() {
  const change = useChangePassword();
  const form = useForm<PasswordChange>({
    resolver: zodResolver(passwordChangeSchema),
    defaultValues: { current: "", next: "" },
  });
  const { errors } = form.formState;
  const submit = form.handleSubmit((input) =>
    change.mutate(input, {
      onSuccess: () => form.reset(),
      onError: (error) => placeError(form, error),
    }),
  );
  return (
    <form className="flex flex-col gap-3" onSubmit={submit} noValidate>
      <Field
        label="Current password"
        type="password"
        autoComplete="current-password"
        error={errors.current?.message}
        {...form.register("current")}
      />
      <Field
        label={words.newPassword}
        type="password"
        autoComplete="new-password"
        hint={`At least ${LEAST_PASSWORD} characters.`}
        error={errors.next?.message}
        {...form.register("next")}
      />
      {change.error && !errors.current && !errors.next ? <Notice warn text={change.error.message} /> : null}
      {change.isSuccess ? <Notice text="Changed. Every other device is signed out." /> : null}
      <Button label="Change the password" disabled={change.isPending} onPress={() => void submit()} />
      <EnterSubmits />
    </form>
  );
}
