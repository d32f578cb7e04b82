import { currentAccount } from "~/data/account/account";

/*
 * Whose something is that this device keeps. It is sent under no other name and shown to nobody else: whoever signs in on
 * the same phone neither sees it nor sends it, and it waits for the one who made it.
 */

/** Whoever made something: a person, or whoever holds a link, who has no account. */
export interface Owner {
  id: string;
  /** For saying whom it waits for. */
  name: string;
}

/** Whoever holds a link. */
export const LINK_HOLDER: Owner = { id: "link", name: "" };

/** Whoever is signed in; null for nobody. */
export function ownerNow(): Owner | null {
  const { me } = currentAccount();
  return me ? { id: me.id, name: me.name } : null;
}

/** Whether something is of whoever is here now. What an earlier version kept names nobody: it is of whoever was here. */
export const isOwn = (owner: Owner | null): boolean =>
  owner === null || owner.id === LINK_HOLDER.id || owner.id === ownerNow()?.id;

/** Whether whoever is here belongs to a club. */
export const isMember = (clubId: string): boolean =>
  currentAccount().me?.clubs.some((club) => club.id === clubId) ?? false;
