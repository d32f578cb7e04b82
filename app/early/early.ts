import { afterPaint } from "../ui/afterPaint";
import { type Asked, askEarly } from "./askEarly";
import { CLUB, SIGHT, THEME } from "./keptKeys";
import { showSight } from "./sight";

/*
 * Run by itself while the application is still loading: what was seen last is shown, and what Today opens with is asked for.
 * Small, and of nothing but the page.
 */

declare global {
  var tonodromeEarly:
    | (Asked & {
        /** When it was, milliseconds since the epoch. */
        since: number;
        /** What was seen last, while it is shown. */
        sight: ShadowRoot | null;
      })
    | undefined;
}

function kept(key: string): unknown {
  try {
    return JSON.parse(localStorage.getItem(key) ?? "null");
  } catch {
    return null;
  }
}

/** Runs the application's own scripts, in their order. */
function runApplication(scripts: readonly string[]): void {
  for (const src of scripts) {
    const script = document.createElement("script");
    script.src = src;
    script.async = false;
    document.body.append(script);
  }
}

/** Shows what was seen last, and asks for what it is made of now. @returns whether there is something to paint first */
function openToday(): boolean {
  if (location.pathname !== "/") return false;
  const club = kept(CLUB);
  const since = Date.now();
  const asked = askEarly(typeof club === "string" ? club : null);
  globalThis.tonodromeEarly = { since, ...asked, sight: null };
  const sight = showSight(kept(SIGHT), kept(THEME), since);
  globalThis.tonodromeEarly.sight = sight;
  // A page that nobody looks at is not painted.
  return sight !== null && document.visibilityState === "visible";
}

const scripts = document.currentScript?.dataset.then?.split(" ") ?? [];
let paintsFirst = false;
try {
  paintsFirst = openToday();
} catch (error) {
  // It is only to be quicker: the application comes in any case.
  console.error(error);
}
if (paintsFirst) afterPaint(() => runApplication(scripts));
else {
  runApplication(scripts);
  // The first clock takes the longest: it is made while the scripts are on their way.
  setTimeout(() => new Intl.DateTimeFormat(undefined, { hour: "2-digit", timeZone: "UTC" }));
}
