import { zodResolver } from "@hookform/resolvers/zod";
import { LEAST_PASSWORD, passwordResetSchema } from "@tonodrome/core/api";
import { useRouter } from "expo-router";
import { useForm } from "react-hook-form";
import { useResetPassword } from "~/data/resources/door";
import { Button } from "~/ui/Button";
import { Field } from "~/ui/fields/Field";
import { Notice } from "~/ui/layout/Notice";
import { words } from "~/ui/words";
import { EnterSubmits } from "./SignInForm";
import { placeError } from "./serverError";
import { Welcome } from "./Welcome";

const formSchema = passwordResetSchema.pick({ password: true });

/** A new password for somebody who forgot theirs, by the link that whoever runs the server gave them. */
export function ResetScreen({ token }: { token: string }) {
  const router = useRouter();
  const reset = useResetPassword();
  const form = useForm<{ password: string }>({
    resolver: zodResolver(formSchema),
    defaultValues: { password: "" },
  });
  const { errors } = form.formState;
  const submit = form.handleSubmit(({ password }) =>
    reset.mutate(
      { token, password },
      { onSuccess: () => router.replace("/"), onError: (error) => placeError(form, error) },
    ),
  );
  return (
    <Welcome title="A new password" lead="It replaces the one you forgot, and signs every other device out.">
      <form className="flex flex-col gap-4" onSubmit={submit} noValidate>
        <Field
          label={words.newPassword}
          type="password"
          autoComplete="new-password"
          hint={`At least ${LEAST_PASSWORD} characters; a sentence is good.`}
          error={errors.password?.message}
          {...form.register("password")}
        />
        {reset.error && !errors.password ? <Notice warn text={reset.error.message} /> : null}
        <Button
          label={reset.isPending ? "One moment …" : "Set it and sign in"}
          look="full"
          disabled={reset.isPending}
          onPress={() => void submit()}
        />
        <EnterSubmits />
      </form>
    </Welcome>
  );
}
