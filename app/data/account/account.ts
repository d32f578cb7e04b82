import type { Me, Membership } from "@tonodrome/core/api";
import { createStore } from "zustand/vanilla";
import { ApiFailure, ask, whenSignedOut } from "~/data/client/api";
import { earlyBody } from "~/data/client/early";
import { forget, isRecord, keep, readKept } from "~/data/device/storage";
import { makeListeners } from "~/data/listeners/listeners";
import { ME as ME_AT } from "~/early/asks";
import { CLUB } from "~/early/keptKeys";

const ME = "me";

export interface Account {
  /** Who is signed in: null for nobody, undefined while that is not known. */
  me: Me | null | undefined;
  /** The club one acts in; null where one belongs to none. */
  club: Membership | null;
  /** Why it is not known, in words; null when it is. */
  failure: string | null;
  /** Where one was when the session ended by itself, to go on there; null where one begins at the front. */
  wanted: string | null;
}

/**
 * Whoever is signed in, also kept on this device: without a connection the hall's phone goes on where it was. The
 * server decides anew with every request.
 */
const store = createStore<Account>(() => accountOf(readKept(ME, meIn) ?? earlyMe() ?? undefined));

/** Whoever was signed in, as this device kept them. */
function meIn(kept: unknown): Me | null {
  const isMe =
    isRecord(kept) &&
    typeof kept.id === "string" &&
    typeof kept.name === "string" &&
    Array.isArray(kept.clubs) &&
    kept.clubs.every((c) => isRecord(c) && typeof c.id === "string" && typeof c.role === "string");
  return isMe ? (kept as unknown as Me) : null;
}

/** Whoever is signed in, where that was asked before the application was there: kept like any other answer. */
function earlyMe(): Me | null {
  const me = meIn(earlyBody(ME_AT));
  if (me) keep(ME, me);
  return me;
}

function accountOf(
  me: Me | null | undefined,
  failure: string | null = null,
  wanted: string | null = null,
): Account {
  const chosen = readKept(CLUB, (kept) => (typeof kept === "string" ? kept : null));
  const club = me?.clubs.find((c) => c.id === chosen) ?? me?.clubs[0] ?? null;
  return { me, club, failure, wanted };
}

function put(
  me: Me | null | undefined,
  failure: string | null = null,
  wanted = currentAccount().wanted,
): void {
  // The same answer again is no news, and nothing is drawn anew for it.
  const before = currentAccount();
  if (JSON.stringify(me) === JSON.stringify(before.me) && failure === before.failure) return;
  // What the last one left is gone before the next one is here.
  if (before.me && me && me.id !== before.me.id) endings.tell();
  store.setState(accountOf(me, failure, wanted));
  if (me) keep(ME, me);
  else if (me === null) forget(ME);
  changes.tell();
}

const endings = makeListeners();

/** What is to happen when the session here is over, whoever ended it and wherever. */
export function whenSessionEnds(act: () => void): void {
  endings.add(act);
}

function ended(wanted: string | null): void {
  put(null, null, wanted);
  endings.tell();
}

whenSignedOut(() => ended(window.location.pathname));

/** Takes what signing up, in or joining answered. */
export function signedInAs(me: Me): void {
  put(me);
}

/** Signed out here. */
export function signedOutHere(): void {
  ended(null);
}

/** Forgets where one wanted to go on: one is there. */
export function arrived(): void {
  store.setState({ wanted: null });
}

/** Asks the server who one is. */
export async function refreshMe(): Promise<void> {
  try {
    put(await ask("me", "GET", ME_AT, undefined, { atSight: true }));
  } catch (error) {
    if (error instanceof ApiFailure && error.code === "signed_out") put(null);
    // Not reached: what this device knows holds.
    else if (!currentAccount().me) put(undefined, (error as Error).message);
  }
}

/** Goes on in another of one's clubs. */
export function chooseClub(clubId: string): void {
  keep(CLUB, clubId);
  const { me, wanted } = currentAccount();
  store.setState(accountOf(me, null, wanted));
}

/** The account as it now stands. For code outside of what is drawn. */
export const currentAccount = (): Account => store.getState();

/** The account as it stands, to be listened to. */
export const accountStore = store;

/** The club one acts in, of an account. @throws where there is none */
export function membershipOf({ club }: Account): Membership {
  if (!club) throw new Error("Nobody is signed in to a club here.");
  return club;
}

/** The club one acts in. For code outside of what is drawn, where there is one. @throws where there is none */
export const currentMembership = (): Membership => membershipOf(currentAccount());

const changes = makeListeners();

/** What is to happen when somebody else is here, or whoever is here may do something else. */
export function whenAccountChanges(act: () => void): void {
  changes.add(act);
}

// What another tab of this device says of who is signed in holds here too.
window.addEventListener("storage", ({ key }) => {
  if (key !== ME) return;
  const me = readKept(ME, meIn);
  if (me?.id === currentAccount().me?.id) return;
  if (currentAccount().me) endings.tell();
  store.setState(accountOf(me));
  changes.tell();
});
