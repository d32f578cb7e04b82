import { Link, Redirect } from "expo-router";
import { Text } from "react-native";
import { useAccount } from "~/data/account/useAccount";
import { useSignUp } from "~/data/resources/door";
import { words } from "~/ui/words";
import { NewAccountForm } from "./NewAccountForm";
import { Welcome } from "./Welcome";

/** A new account with a club of its own. */
export function SignUpScreen() {
  const signUp = useSignUp();
  const { me } = useAccount();
  // Whoever has just made a club begins with its first warm-up.
  if (me) return <Redirect href={signUp.isIdle ? "/" : "/first"} />;
  return (
    <Welcome
      title="Create account and club"
      lead="You will be the club's owner and can invite coaches, assistants and athletes by a link."
    >
      <NewAccountForm
        withClub
        label="Create account and club"
        pending={signUp.isPending}
        error={signUp.error}
        send={signUp.mutate}
      />
      <Link href="/" className="flex min-h-press items-center justify-center">
        <Text className="font-strong text-body text-press underline">{words.iHaveAnAccount}</Text>
      </Link>
    </Welcome>
  );
}
