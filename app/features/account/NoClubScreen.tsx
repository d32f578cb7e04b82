import { View } from "react-native";
import { useAccount } from "~/data/account/useAccount";
import { useOpenDemo, useSignOut } from "~/data/resources/door";
import { Button } from "~/ui/Button";
import { Notice } from "~/ui/layout/Notice";
import { words } from "~/ui/words";
import { NewClubForm } from "./NewClubForm";
import { Welcome } from "./Welcome";

/** For somebody who belongs to no club, or no longer. */
export function NoClubScreen() {
  const signOut = useSignOut();
  const openDemo = useOpenDemo();
  const { me } = useAccount();
  if (me?.demo) {
    return (
      <Welcome title="This demo is over" lead="A demo lasts a day, or until its club is deleted.">
        <Button
          label={openDemo.isPending ? "Opening …" : "Open a new one"}
          look="full"
          disabled={openDemo.isPending}
          onPress={() => openDemo.mutate()}
        />
        {openDemo.error ? <Notice warn text={openDemo.error.message} /> : null}
        <Button label="Leave the demo" onPress={() => signOut.mutate("here")} />
      </Welcome>
    );
  }
  return (
    <Welcome
      title="You belong to no club"
      lead="Make one of your own, or ask an owner of a club to send you an invitation."
    >
      <NewClubForm />
      <View className="border-t-2 border-line pt-4">
        <Button label={words.signOut} onPress={() => signOut.mutate("here")} />
      </View>
    </Welcome>
  );
}
