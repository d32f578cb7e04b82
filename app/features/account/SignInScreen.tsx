import { Link } from "expo-router";
import { Text, View } from "react-native";
import { useDoor, useOpenDemo } from "~/data/resources/door";
import { Button } from "~/ui/Button";
import { Notice } from "~/ui/layout/Notice";
import { words } from "~/ui/words";
import { WaitingForOthers } from "./NotSent";
import { SignInForm } from "./SignInForm";
import { Welcome } from "./Welcome";

/** Where everybody begins: in with an account, or into the demo with one press. */
export function SignInScreen() {
  const door = useDoor();
  const openDemo = useOpenDemo();
  const failure = openDemo.error ?? door.error;
  return (
    <Welcome title="Sign in" lead="Graded warm-ups, fitted to the minute of the start.">
      <WaitingForOthers />
      <SignInForm />
      {door.data?.signUp === false ? null : (
        <Link href="/sign-up" className="flex min-h-press items-center justify-center">
          <Text className="font-strong text-body text-press underline">Create an account and a club</Text>
        </Link>
      )}
      {door.data?.demo ? (
        <View className="gap-2 border-t-2 border-line pt-4">
          <Text className="font-text text-body text-muted">
            Only looking? An invented skating club on its competition day is yours alone for a day.
          </Text>
          <Button
            label={openDemo.isPending ? "Opening …" : "Open the demo club"}
            disabled={openDemo.isPending}
            onPress={() => openDemo.mutate()}
          />
        </View>
      ) : null}
      <Text className="font-text text-small text-muted">
        Forgot your password? Whoever runs this server can give you a link to a new one.
      </Text>
      {failure ? (
        <Notice
          warn
          text={failure.message}
          actions={door.error ? [{ label: words.tryAgain, onPress: () => void door.refetch() }] : []}
        />
      ) : null}
    </Welcome>
  );
}
