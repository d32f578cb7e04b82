import { listOf } from "@tonodrome/core";
import { type Action, may, rolesThat } from "@tonodrome/core/api";
import { Link, usePathname, useRouter } from "expo-router";
import { type ReactNode, useEffect, useState } from "react";
import { Text, View } from "react-native";
import { useAccount, useMembership } from "~/data/account/account";
import { askTime } from "~/data/client/api";
import { useReached } from "~/data/client/reach";
import { useTheme } from "~/data/device/theme";
import { Button } from "~/ui/Button";
import { useKeys } from "~/ui/hooks/useKeys";
import { useWide } from "~/ui/hooks/useWide";
import { Icon, type IconName } from "~/ui/Icon";
import { KeysHelp } from "~/ui/layout/KeysHelp";
import { Notice } from "~/ui/layout/Notice";
import { Screen } from "~/ui/layout/Screen";
import { Sheet } from "~/ui/layout/Sheet";
import { ROLE_AS, ROLE_NAMES } from "~/ui/roleWords";

interface MainPlace {
  href: "/" | "/shelf" | "/log" | "/club";
  label: string;
  icon: IconName;
  /** What one must be allowed to, to have any use for it. */
  needs: Action;
}

const PLACES: MainPlace[] = [
  { href: "/", label: "Today", icon: "today", needs: "see" },
  { href: "/shelf", label: "Shelf", icon: "shelf", needs: "read" },
  { href: "/log", label: "Log", icon: "log", needs: "see" },
  { href: "/club", label: "Club", icon: "club", needs: "see" },
];

/** Addresses that are not for everybody, and what one must be allowed to. The server decides anew with every request. */
const NEEDS: readonly [RegExp, Action][] = [
  [/^\/start\/new$/, "build"],
  [/^\/shelf$/, "read"],
  [/^\/athlete\//, "read"],
  [/^\/club\/(athletes|events)$/, "read"],
  [/^\/club\/(members|history)$/, "manage"],
];

/** What is at an address, for whom it is. */
function Page({ path, children }: { path: string; children: ReactNode }) {
  const { role, name } = useMembership();
  const needs = NEEDS.find(([address]) => address.test(path))?.[1];
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

/** The main places: under the thumb on a phone, down the side on a wide screen. */
export function Frame({ children }: { children: ReactNode }) {
  const path = usePathname();
  const wide = useWide();
  const { role } = useMembership();
  const places = PLACES.filter((place) => may(role, place.needs));
  // A warm-up and a run have the whole phone to themselves; their foot is the start.
  const isReached = useReached();
  const router = useRouter();
  const [helps, setHelps] = useState(false);
  // A warm-up and a run have keys of their own.
  const isOwn = /^\/(run|start)\/(?!new)/.test(path);
  useKeys(
    isOwn
      ? {}
      : {
          ...Object.fromEntries(places.map(({ href }, i) => [String(i + 1), () => router.push(href)])),
          n: () => may(role, "build") && router.push("/start/new"),
          "/": () => document.querySelector<HTMLElement>("input[type=search]")?.focus(),
          "?": () => setHelps(true),
        },
  );
  const help = helps ? (
    <Sheet title="Keys" onClose={() => setHelps(false)}>
      <KeysHelp
        keys={[
          ...places.map(({ label }, i) => [String(i + 1), label] as const),
          ...(may(role, "build") ? [["n", "A new start"] as const] : []),
          ["/", "Find, where there is something to find"],
          ["Escape", "Closes what lies over the page"],
          ["?", "These keys"],
        ]}
      />
    </Sheet>
  ) : null;
  const bare = /^\/(run|start)\//.test(path) && (!wide || path.startsWith("/run/"));
  // A run says so itself, with what becomes of its presses.
  const offline = isReached || path.startsWith("/run/") ? null : <Offline />;
  if (bare)
    return (
      <View className="h-dvh bg-paper">
        {offline}
        <Page path={path}>{children}</Page>
      </View>
    );
  return (
    <View className={`h-dvh bg-paper ${wide ? "flex-row" : "flex-col"}`}>
      <SkipLink />
      {help}
      {wide ? <Rail path={path} places={places} /> : null}
      <View className="min-h-0 flex-1">
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

/** How often it is asked whether the server is in reach again, milliseconds. Custom. */
const ASK_AGAIN = 5_000;

/** That there is no connection, and what that means for what one does. */
function Offline() {
  useEffect(() => {
    const ask = () => void askTime().catch(() => undefined);
    const timer = setInterval(ask, ASK_AGAIN);
    window.addEventListener("online", ask);
    return () => {
      clearInterval(timer);
      window.removeEventListener("online", ask);
    };
  }, []);
  return (
    <Text role="status" className="bg-tone-2 px-4 py-2 font-text text-small text-on-tone-2" testID="offline">
      No connection. You see what was read last. Warm-ups and runs are kept here and sent later; anything else
      waits for the connection.
    </Text>
  );
}

/** The first thing that Tab comes to: past the places, to what the page is about. */
function SkipLink() {
  return (
    <button
      type="button"
      className="sr-only bg-press text-body text-on-press focus:not-sr-only focus:absolute focus:z-20 focus:p-3"
      onClick={() => {
        const main = document.querySelector<HTMLElement>("[role=main]");
        main?.setAttribute("tabindex", "-1");
        main?.focus();
      }}
    >
      Skip to the content
    </button>
  );
}

function Rail({ path, places }: { path: string; places: MainPlace[] }) {
  const club = useMembership();
  const { me } = useAccount();
  return (
    <View role="navigation" aria-label="Main places" className="w-48 border-r-2 border-line py-4">
      <Text className="px-4 font-strong text-lead text-press">Tonodrome</Text>
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

/** Paper light or hall dark. */
export function ThemeButton({ iconOnly }: { iconOnly?: boolean }) {
  const { theme, toggle } = useTheme();
  const other = theme === "dark" ? "light" : "dark";
  return (
    <Button
      label={other === "dark" ? "Hall dark" : "Paper light"}
      icon={other}
      look="plain"
      iconOnly={iconOnly ?? false}
      onPress={toggle}
    />
  );
}

function isHere(href: string, path: string): boolean {
  if (href === "/club" && /^\/(account|athlete)/.test(path)) return true;
  return href === "/" ? path === "/" || path.startsWith("/start") : path.startsWith(href);
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
