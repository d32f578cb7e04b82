import { View } from "react-native";
import { useSignOut } from "~/data/door";
import { Button } from "~/ui/Button";
import { NewClubForm } from "./NewClubForm";
import { Welcome } from "./Welcome";

/** For somebody who belongs to no club, or no longer. */
export function NoClubScreen() {
  const signOut = useSignOut();
  return (
    <Welcome
      title="You belong to no club"
      lead="Make one of your own, or ask an owner of a club to send you an invitation."
    >
      <NewClubForm />
      <View className="border-t-2 border-line pt-4">
        <Button label="Sign out" onPress={() => signOut.mutate("here")} />
      </View>
    </Welcome>
  );
}
