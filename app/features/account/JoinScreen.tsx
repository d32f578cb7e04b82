import type { Invitation, Me } from "@tonodrome/core/api";
import { useRouter } from "expo-router";
import { useState } from "react";
import { View } from "react-native";
import { useAccount } from "~/data/account/useAccount";
import { useAccept, useInvitation, useJoin, useSignOut } from "~/data/resources/door";
import { Button } from "~/ui/Button";
import { Choice } from "~/ui/fields/Choice";
import { Loaded } from "~/ui/layout/Loading";
import { Notice } from "~/ui/layout/Notice";
import { ROLE_AS } from "~/ui/roleWords";
import { words } from "~/ui/words";
import { NewAccountForm } from "./NewAccountForm";
import { SignInForm } from "./SignInForm";
import { Welcome } from "./Welcome";

/** An invitation's link: who invites, as what, and the way in. */
export function JoinScreen({ token }: { token: string }) {
  const invitation = useInvitation(token);
  const { me } = useAccount();
  const router = useRouter();
  const news = invitation.data;
  return (
    <Welcome
      title={news ? `Join ${news.clubName}` : "An invitation"}
      lead={news ? `You are invited ${ROLE_AS[news.role]}.` : "Into a club on Tonodrome."}
    >
      <Loaded query={invitation}>
        {(data) =>
          me && !me.demo ? <AsMyself me={me} token={token} /> : <NewOrKnown token={token} invitation={data} />
        }
      </Loaded>
      {invitation.error ? <Button label="Go to the front page" onPress={() => router.replace("/")} /> : null}
    </Welcome>
  );
}

function AsMyself({ me, token }: { me: Me; token: string }) {
  const router = useRouter();
  const accept = useAccept(token, () => router.replace("/"));
  const signOut = useSignOut();
  const failure = accept.error ?? signOut.error;
  return (
    <View className="gap-3">
      <Button
        label={accept.isPending ? "Joining …" : `Join as ${me.name}`}
        look="full"
        disabled={accept.isPending}
        onPress={() => accept.mutate()}
      />
      <Button label="Sign out and use another account" onPress={() => signOut.mutate("here")} />
      {failure ? <Notice warn text={failure.message} /> : null}
    </View>
  );
}

function NewOrKnown({ token, invitation }: { token: string; invitation: Invitation }) {
  const router = useRouter();
  const join = useJoin(token, () => router.replace("/"));
  const [way, setWay] = useState<"new" | "known">("new");
  return (
    <View className="gap-4">
      <Choice
        label="Account"
        options={[
          { value: "new", label: "I am new" },
          { value: "known", label: words.iHaveAnAccount },
        ]}
        value={way}
        onChange={setWay}
      />
      {way === "known" ? (
        <SignInForm />
      ) : (
        <NewAccountForm
          withClub={false}
          label={`Join ${invitation.clubName}`}
          pending={join.isPending}
          error={join.error}
          send={(input, { onError }) => join.mutate(input, { onError })}
        />
      )}
    </View>
  );
}
