import { QueryClientProvider } from "@tanstack/react-query";
import type { Membership } from "@tonodrome/core/api";
import { usePathname, useRouter } from "expo-router";
import { lazy, type ReactNode, Suspense, useEffect, useState } from "react";
import { View } from "react-native";
import { arrived, refreshMe } from "~/data/account/account";
import { useAccount } from "~/data/account/useAccount";
import { dropSight } from "~/data/device/sight";
import "~/data/forgetting";
import { keepQueries } from "~/data/queries/keptQueries";
import { makeQueryClient } from "~/data/queries/queryClient";
import { useLiveClub } from "~/data/resources/liveClub";
import { sendKept } from "~/data/sendKept";
import { Frame } from "~/features/nav/Frame";
import { Loading } from "~/ui/layout/Loading";
import { Notice } from "~/ui/layout/Notice";
import { words } from "~/ui/words";

// Whoever is in does not load the way in.
const NoClubScreen = lazy(() => import("./NoClubScreen").then((m) => ({ default: m.NoClubScreen })));
const SignInScreen = lazy(() => import("./SignInScreen").then((m) => ({ default: m.SignInScreen })));

/** Addresses that anybody may open, whether signed in or not. */
const OPEN = /^\/(sign-up|join\/|shared\/|reset\/)/;

/** Lets those in who are signed in; everybody else is asked to, at the address they wanted, and goes on there. */
export function Door({ children }: { children: ReactNode }) {
  const path = usePathname();
  const { me, club, failure, wanted } = useAccount();
  useEffect(() => {
    void refreshMe();
  }, []);
  // What was seen last is not for whoever is not in.
  const isIn = me === undefined ? failure === null : Boolean(me && club);
  useEffect(() => {
    if (!isIn || path !== "/") dropSight();
  }, [isIn, path]);
  if (OPEN.test(path)) return <>{children}</>;
  if (me === undefined) {
    return (
      <View className="h-dvh justify-center bg-paper p-4" role="main">
        {failure ? (
          <Notice
            warn
            text={failure}
            actions={[{ label: words.tryAgain, onPress: () => void refreshMe() }]}
          />
        ) : (
          <Loading />
        )}
      </View>
    );
  }
  if (me === null || !club) {
    return <Suspense fallback={<Loading />}>{me === null ? <SignInScreen /> : <NoClubScreen />}</Suspense>;
  }
  return (
    <Club key={`${me.id} ${club.id}`} personId={me.id} club={club} wanted={wanted}>
      {children}
    </Club>
  );
}

/** One club, with a cache of its own: nothing read in one is ever shown in another. */
function Club({
  personId,
  club,
  wanted,
  children,
}: {
  personId: string;
  club: Membership;
  /** Where whoever has just signed in was when they were asked to. */
  wanted: string | null;
  children: ReactNode;
}) {
  const [client] = useState(makeQueryClient);
  const router = useRouter();
  useEffect(() => {
    if (!wanted) return;
    arrived();
    // Whoever came by an invitation or a shared link is through with it.
    if (wanted !== window.location.pathname && !OPEN.test(wanted)) router.replace(wanted as "/");
  }, [router, wanted]);
  useEffect(() => {
    return keepQueries(client, { personId, clubId: club.id });
  }, [client, personId, club.id]);
  useEffect(() => {
    // What this device kept for the club while nobody was signed in to it.
    if (club.id) void sendKept();
  }, [club.id]);
  return (
    <QueryClientProvider client={client}>
      <Live />
      <Frame>{children}</Frame>
    </QueryClientProvider>
  );
}

function Live() {
  useLiveClub();
  return null;
}
