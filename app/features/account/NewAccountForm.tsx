import { zodResolver } from "@hookform/resolvers/zod";
import { joinSchema, LEAST_PASSWORD, type SignUp, signUpSchema } from "@tonodrome/core/api";
import { useForm } from "react-hook-form";
import { Button } from "~/ui/Button";
import { Field } from "~/ui/fields/Field";
import { Notice } from "~/ui/layout/Notice";
import { words } from "~/ui/words";
import { EnterSubmits } from "./SignInForm";
import { placeError } from "./serverError";

interface NewAccountFormProps {
  /** With a new club, or into an existing one. */
  withClub: boolean;
  label: string;
  pending: boolean;
  send: (input: SignUp, options: { onError: (error: Error) => void }) => void;
  error: Error | null;
}

/** Who somebody new is. */
export function NewAccountForm({ withClub, label, pending, send, error }: NewAccountFormProps) {
  const form = useForm<SignUp>({
    // A form without the club's field is checked without it.
    resolver: zodResolver(withClub ? signUpSchema : (joinSchema as unknown as typeof signUpSchema)),
    defaultValues: { name: "", email: "", password: "", ...(withClub ? { clubName: "" } : {}) },
  });
  const { errors } = form.formState;
  const submit = form.handleSubmit((input) => send(input, { onError: (e) => placeError(form, e) }));
  const isPlaced = Object.keys(errors).length > 0;
  return (
    <form className="flex flex-col gap-4" onSubmit={submit} noValidate>
      {withClub ? (
        <Field
          label="Name of your club"
          autoComplete="organization"
          error={errors.clubName?.message}
          {...form.register("clubName")}
        />
      ) : null}
      <Field label="Your name" autoComplete="name" error={errors.name?.message} {...form.register("name")} />
      <Field
        label={words.email}
        type="email"
        autoComplete="username"
        error={errors.email?.message}
        hint="It is your name for signing in. Nothing is sent to it."
        {...form.register("email")}
      />
      <Field
        label={words.password}
        type="password"
        autoComplete="new-password"
        error={errors.password?.message}
        hint={`At least ${LEAST_PASSWORD} characters; a sentence is good.`}
        {...form.register("password")}
      />
      {error && !isPlaced ? (
        <Notice warn text={`${error.message} What you filled in is still here.`} />
      ) : null}
      <Button
        label={pending ? "One moment …" : label}
        look="full"
        disabled={pending}
        onPress={() => void submit()}
      />
      <EnterSubmits />
    </form>
  );
}
