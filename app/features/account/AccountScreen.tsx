import { listOf } from "@tonodrome/core";
import { useRouter } from "expo-router";
import { Text, View } from "react-native";
import { chooseClub } from "~/data/account/account";
import { useAccount, useMembership } from "~/data/account/useAccount";
import { useUnsent } from "~/data/outbox/useUnsent";
import { useSignOut } from "~/data/resources/door";
import { Button } from "~/ui/Button";
import { Choice } from "~/ui/fields/Choice";
import { Notice } from "~/ui/layout/Notice";
import { Screen } from "~/ui/layout/Screen";
import { Section } from "~/ui/layout/Section";
import { ROLE_NAMES } from "~/ui/roleWords";
import { words } from "~/ui/words";
import { DeleteAccount } from "./DeleteAccount";
import { NewClubForm } from "./NewClubForm";
import { NotSent } from "./NotSent";
import { PasswordForm } from "./PasswordForm";

/** Whoever is signed in: their clubs, their password, the way out. */
export function AccountScreen() {
  const { me } = useAccount();
  const club = useMembership();
  const router = useRouter();
  if (!me) return null;
  return (
    <Screen title={me.name} over={me.email} back="/club">
      <Section title="Clubs">
        {me.clubs.length > 1 ? (
          <Choice
            label={words.club}
            options={me.clubs.map((c) => ({ value: c.id, label: `${c.name}, ${ROLE_NAMES[c.role]}` }))}
            value={club.id}
            onChange={(id) => {
              router.replace("/");
              chooseClub(id);
            }}
          />
        ) : (
          <Text className="font-text text-body text-ink">
            {club.name}, {ROLE_NAMES[club.role]}
          </Text>
        )}
        {me.demo ? null : <NewClubForm onMade={() => router.replace("/")} />}
      </Section>
      {me.demo ? (
        <Notice text="You are looking round the demo and have no account. What you change here is cleared after a day." />
      ) : (
        <Section title={words.password}>
          <PasswordForm />
        </Section>
      )}
      <Section title={words.signOut}>
        <SignOut />
      </Section>
      {me.demo ? null : (
        <Section title="Delete the account">
          <DeleteAccount />
        </Section>
      )}
    </Screen>
  );
}

function SignOut() {
  const signOut = useSignOut();
  const kept = listOf(useUnsent().unsent);
  const go = (where: "here" | "everywhere") => signOut.mutate(where);
  return (
    <View className="gap-3">
      {kept ? <Notice text={`Only on this device: ${kept}. It stays here until you sign in again.`} /> : null}
      <NotSent />
      {signOut.error ? <Notice warn text={signOut.error.message} /> : null}
      <Button label={words.signOut} look="full" disabled={signOut.isPending} onPress={() => go("here")} />
      <Button label="Sign out everywhere" disabled={signOut.isPending} onPress={() => go("everywhere")} />
    </View>
  );
}
