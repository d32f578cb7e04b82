import { listOf } from "@tonodrome/core";
import { may, rolesThat } from "@tonodrome/core/api";
import { Link, usePathname } from "expo-router";
import { lazy, type ReactNode, Suspense } from "react";
import { Text, View } from "react-native";
import { useAccount, useMembership } from "~/data/account/useAccount";
import { useReached } from "~/data/client/useReached";
import { useArmed } from "~/data/device/useArmed";
import { alarmWatchWhenReached } from "~/features/day/loadAlarmWatch";
import { ThemeButton } from "~/features/theme/ThemeButton";
import { useWide } from "~/ui/hooks/useWide";
import { Icon } from "~/ui/Icon";
import { Notice } from "~/ui/layout/Notice";
import { Screen } from "~/ui/layout/Screen";
import { ROLE_AS, ROLE_NAMES } from "~/ui/roleWords";
import { words } from "~/ui/words";
import { MainKeys } from "./MainKeys";
import { isHere, MAIN_PLACES, type MainPlace, neededAt } from "./mainPlaces";
import { Offline } from "./Offline";
import { SkipLink } from "./SkipLink";
import { TooOld } from "./TooOld";

/** What is at an address, for whom it is. */
function Page({ path, children }: { path: string; children: ReactNode }) {
  const { role, name } = useMembership();
  const needs = neededAt(path);
  if (needs === undefined || may(role, needs)) return children;
  const whose = listOf(rolesThat(needs).map((r) => `${ROLE_NAMES[r].toLowerCase()}s`));
  return (
    <Screen title="Not for your role" back="/">
      <Notice text={`This page is for the ${whose} of ${name}. You are here ${ROLE_AS[role]}.`} />
      <Link href="/" className="flex min-h-press items-center self-start bg-press px-4">
        <Text className="font-strong text-body text-on-press">To Today</Text>
      </Link>
    </Screen>
  );
}

// What watches the clock is loaded where a day is to call.
const AlarmWatch = lazy(alarmWatchWhenReached);

/** Calls of the days that are to call on this device, wherever one is. */
function Alarms() {
  const armed = useArmed();
  if (armed.length === 0) return null;
  return (
    <Suspense fallback={null}>
      <AlarmWatch ids={armed} />
    </Suspense>
  );
}

/** The main places: under the thumb on a phone, down the side on a wide screen. */
export function Frame({ children }: { children: ReactNode }) {
  const path = usePathname();
  const wide = useWide();
  const { role } = useMembership();
  const places = MAIN_PLACES.filter((place) => may(role, place.needs));
  const isReached = useReached();
  // A warm-up and a run have the whole phone to themselves; their foot is the start.
  const bare = /^\/(run|start)\//.test(path) && (!wide || path.startsWith("/run/"));
  // A run says so itself, with what becomes of its presses.
  const offline = isReached || path.startsWith("/run/") ? null : <Offline />;
  const alarms = <Alarms />;
  if (bare)
    return (
      <View className="h-dvh bg-paper">
        {alarms}
        <TooOld />
        {offline}
        <Page path={path}>{children}</Page>
      </View>
    );
  return (
    <View className={`h-dvh bg-paper ${wide ? "flex-row" : "flex-col"}`}>
      <SkipLink />
      <MainKeys path={path} places={places} />
      {wide ? <Rail path={path} places={places} /> : null}
      <View className="min-h-0 flex-1">
        {alarms}
        <TooOld />
        {offline}
        <Page path={path}>{children}</Page>
      </View>
      {wide ? null : (
        <View role="navigation" aria-label="Main places" className="flex-row border-t-2 border-line">
          {places.map((place) => (
            <Place key={place.href} {...place} here={isHere(place.href, path)} />
          ))}
        </View>
      )}
    </View>
  );
}

function Rail({ path, places }: { path: string; places: MainPlace[] }) {
  const club = useMembership();
  const { me } = useAccount();
  return (
    <View role="navigation" aria-label="Main places" className="w-48 border-r-2 border-line py-4">
      <Text className="px-4 font-strong text-lead text-press">{words.tonodrome}</Text>
      <Text className="px-4 font-text text-small text-muted">{club.name}</Text>
      <Text className="px-4 pb-4 font-text text-small text-muted">{me?.name}</Text>
      {places.map((place) => (
        <Place key={place.href} {...place} here={isHere(place.href, path)} beside />
      ))}
      <View className="flex-1" />
      <ThemeButton />
    </View>
  );
}

interface PlaceProps extends Pick<MainPlace, "href" | "label" | "icon"> {
  here: boolean;
  beside?: boolean;
}

function Place({ href, label, icon, here, beside }: PlaceProps) {
  return (
    <Link href={href} aria-current={here ? "page" : undefined} className={beside ? "flex" : "flex flex-1"}>
      <View
        className={`min-h-press w-full items-center gap-2 px-4 py-2 ${beside ? "flex-row" : "flex-col gap-0"} ${here ? "bg-tone-2" : ""}`}
      >
        <Icon name={icon} size={22} color={here ? "on-tone-2" : "ink"} />
        <Text className={`text-small ${here ? "font-strong text-on-tone-2" : "font-text text-ink"}`}>
          {label}
        </Text>
      </View>
    </Link>
  );
}
