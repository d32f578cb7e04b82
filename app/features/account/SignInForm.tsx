import { zodResolver } from "@hookform/resolvers/zod";
import { type SignIn, signInSchema } from "@tonodrome/core/api";
import { useForm } from "react-hook-form";
import { useSignIn } from "~/data/resources/door";
import { Button } from "~/ui/Button";
import { Field } from "~/ui/fields/Field";
import { Notice } from "~/ui/layout/Notice";
import { words } from "~/ui/words";
import { placeError } from "./serverError";

/** Address and password of an account that there is. */
export function SignInForm() {
  const signIn = useSignIn();
  const form = useForm<SignIn>({
    resolver: zodResolver(signInSchema),
    defaultValues: { email: "", password: "" },
  });
  const { errors } = form.formState;
  const submit = form.handleSubmit((input) =>
    signIn.mutate(input, { onError: (error) => placeError(form, error) }),
  );
  const failure = signIn.error && !errors.email && !errors.password ? signIn.error.message : null;
  return (
    <form className="flex flex-col gap-4" onSubmit={submit} noValidate>
      <Field
        label={words.email}
        type="email"
        autoComplete="username"
        error={errors.email?.message}
        {...form.register("email")}
      />
      <Field
        label={words.password}
        type="password"
        autoComplete="current-password"
        error={errors.password?.message}
        {...form.register("password")}
      />
      {failure ? <Notice warn text={failure} /> : null}
      <Button
        label={signIn.isPending ? "Signing in …" : "Sign in"}
        look="full"
        disabled={signIn.isPending}
        onPress={() => void submit()}
      />
      <EnterSubmits />
    </form>
  );
}

/** Lets Enter send a form whose button is not the browser's own. */
export function EnterSubmits() {
  return <button type="submit" tabIndex={-1} aria-hidden className="hidden" />;
}
