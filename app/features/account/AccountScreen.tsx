import { listOf } from "@tonodrome/core";
import { useRouter } from "expo-router";
import { Text, View } from "react-native";
import { chooseClub, useAccount, useMembership } from "~/data/account/account";
import { useSignOut } from "~/data/account/door";
import { unsentLists } from "~/data/day/ticks";
import { unsavedDrafts } from "~/data/plan/planDraft";
import { unsentRuns } from "~/data/runs/send";
import { Button } from "~/ui/Button";
import { Choice } from "~/ui/fields/Choice";
import { Notice } from "~/ui/layout/Notice";
import { Screen } from "~/ui/layout/Screen";
import { Section } from "~/ui/layout/Section";
import { ROLE_NAMES } from "~/ui/roleWords";
import { words } from "~/ui/words";
import { DeleteAccount } from "./DeleteAccount";
import { NewClubForm } from "./NewClubForm";
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
  const kept = keptWords(unsentRuns(), unsavedDrafts(), unsentLists());
  const go = (where: "here" | "everywhere") => signOut.mutate(where);
  return (
    <View className="gap-3">
      {kept ? <Notice text={`Only on this device: ${kept}. It stays here until you sign in again.`} /> : null}
      {signOut.error ? <Notice warn text={signOut.error.message} /> : null}
      <Button label={words.signOut} look="full" disabled={signOut.isPending} onPress={() => go("here")} />
      <Button label="Sign out everywhere" disabled={signOut.isPending} onPress={() => go("everywhere")} />
    </View>
  );
}

function keptWords(runs: number, drafts: number, lists: number): string {
  const count = (n: number, one: string, many: string) => (n === 0 ? "" : `${n} ${n === 1 ? one : many}`);
  return listOf(
    [
      count(runs, "run with presses not sent yet", "runs with presses not sent yet"),
      count(drafts, "warm-up or day with edits not saved", "warm-ups or days with edits not saved"),
      count(lists, "list with ticks not sent yet", "lists with ticks not sent yet"),
    ].filter(Boolean),
  );
}
