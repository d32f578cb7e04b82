import { SIGHT } from "~/early/keptKeys";
import type { Sight } from "~/early/sight";
import { wide } from "~/ui/tokens";
import { forget, keep } from "./storage";

/** So many starts are in sight at most; the others are not kept with it. */
const IN_SIGHT = 4;

/** A page larger than this is not kept, characters. */
const LARGEST = 300_000;

/** What is marked so is only true of a moment: it is not shown again. */
export const MOMENT = { moment: "" };

/** The rules that have been written into the page besides its files: of type, and of everything else. */
function written(): { fonts: string; css: string } {
  const rules = [...document.styleSheets]
    .filter((sheet) => !sheet.href)
    .flatMap((sheet) => [...sheet.cssRules]);
  const textOf = (some: CSSRule[]) => some.map((rule) => rule.cssText).join("\n");
  const isFont = (rule: CSSRule) => rule instanceof CSSFontFaceRule;
  return { fonts: textOf(rules.filter(isFont)), css: textOf(rules.filter((rule) => !isFont(rule))) };
}

/**
 * Keeps what Today looks like, to be shown at once when it is opened again.
 * @param until it says what is next until then, milliseconds since the epoch
 */
export function keepSight(until: number): void {
  const root = document.getElementById("root")?.cloneNode(true) as HTMLElement | undefined;
  if (!root) return;
  for (const passing of root.querySelectorAll("[role=alert]")) passing.remove();
  // Its room stays, so that nothing jumps.
  for (const passing of root.querySelectorAll<HTMLElement>("[data-moment]"))
    passing.style.visibility = "hidden";
  for (const start of [...root.querySelectorAll("[data-start]")].slice(IN_SIGHT)) start.remove();
  const sight: Sight = {
    html: root.innerHTML,
    ...written(),
    wide: { from: wide, is: window.innerWidth >= wide },
    until,
  };
  if (sight.html.length + sight.css.length + sight.fonts.length > LARGEST || !keep(SIGHT, sight))
    forgetSight();
}

/** Forgets it: it is not what would be seen any more, or not for whoever is here now. */
export function forgetSight(): void {
  forget(SIGHT);
}

/** Takes away what was shown while the application was loading. */
export function dropSight(): void {
  const early = globalThis.tonodromeEarly;
  early?.sight?.host.remove();
  if (early) early.sight = null;
}
