import type { Action } from "@tonodrome/core/api";
import type { IconName } from "~/ui/Icon";
import { words } from "~/ui/words";

/** A place that is always one press away. */
export interface MainPlace {
  href: "/" | "/shelf" | "/log" | "/club";
  label: string;
  icon: IconName;
  /** What one must be allowed to, to have any use for it. */
  needs: Action;
}

export const MAIN_PLACES: readonly MainPlace[] = [
  { href: "/", label: words.today, icon: "today", needs: "see" },
  { href: "/shelf", label: words.shelf, icon: "shelf", needs: "read" },
  { href: "/log", label: words.log, icon: "log", needs: "see" },
  { href: "/club", label: words.club, icon: "club", needs: "see" },
];

/** Addresses that are not for everybody, and what one must be allowed to. The server decides anew with every request. */
const NEEDS: readonly [RegExp, Action][] = [
  [/^\/start\/(new|list)$/, "build"],
  [/^\/shelf$/, "read"],
  [/^\/athlete\//, "read"],
  [/^\/club\/(athletes|events)$/, "read"],
  [/^\/order\/of\//, "build"],
  [/^\/order\//, "read"],
  [/^\/club\/calendars$/, "build"],
  [/^\/club\/(members|history)$/, "manage"],
];

/** What one must be allowed to at an address; undefined where it is for everybody. */
export const neededAt = (path: string): Action | undefined =>
  NEEDS.find(([address]) => address.test(path))?.[1];

/** Whether an address belongs to a main place. */
export function isHere(href: string, path: string): boolean {
  if (href === "/club" && /^\/(account|athlete)/.test(path)) return true;
  return href === "/" ? path === "/" || /^\/(start|day|order|sheet)\b/.test(path) : path.startsWith(href);
}
