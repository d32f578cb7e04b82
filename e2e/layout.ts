import type { Page } from "@playwright/test";

/** Smallest side of what is pressed, pixels: what guidelines for touch ask for, a little under the application's own. */
const LEAST = 44;

/**
 * What is wrong with how a page lies: wider than the screen, too small to press, cut, covered, out of reach by scrolling or
 * by Tab. Looked for in the sheet that is open, or else on the whole page.
 * @returns a line for each fault, empty when there is none
 */
export async function layoutFaults(page: Page): Promise<string[]> {
  await page.evaluate(() => document.fonts.ready);
  return page.evaluate((least) => {
    const CLOSE = 24;
    const PRESSED =
      "button, a[href], input, select, textarea, [role=button], [role=radio], [role=checkbox], [role=switch]";
    const sheets = document.querySelectorAll<HTMLElement>("[role=dialog]");
    const scope: HTMLElement = sheets[sheets.length - 1] ?? document.body;
    const faults = new Set<string>();
    const nameOf = (e: Element) =>
      (e.getAttribute("aria-label") || (e as HTMLElement).innerText || e.id || e.tagName)
        .replace(/\s+/g, " ")
        .slice(0, 50);
    const isShown = (e: Element) => {
      const box = e.getBoundingClientRect();
      const style = getComputedStyle(e);
      return (
        box.width > 0 && box.height > 0 && style.visibility !== "hidden" && !e.closest("[aria-hidden=true]")
      );
    };
    const scrolls = (e: Element, axis: "X" | "Y") =>
      /auto|scroll/.test(getComputedStyle(e)[`overflow${axis}`]);
    const scrollerOf = (e: Element, axis: "X" | "Y") => {
      for (let at = e.parentElement; at; at = at.parentElement) if (scrolls(at, axis)) return at;
      return null;
    };
    /** Text that its own box does not show whole. */
    const cut = (e: Element) =>
      [e, ...e.querySelectorAll("*")].some((at) => {
        if (!/hidden|clip/.test(getComputedStyle(at).overflow) || at.classList.contains("sr-only"))
          return false;
        return at.scrollWidth > at.clientWidth + 1 || at.scrollHeight > at.clientHeight + 4;
      });

    if (document.documentElement.scrollWidth > innerWidth + 1)
      faults.add("the page is wider than the screen");
    for (const e of scope.querySelectorAll<HTMLElement>("*")) {
      const own = [...e.childNodes].some((n) => n.nodeType === 3 && n.textContent?.trim());
      if (!own || !isShown(e) || scrollerOf(e, "X") || getComputedStyle(e).position === "fixed") continue;
      const box = e.getBoundingClientRect();
      if ((box.right > innerWidth + 1 || box.left < -1) && !e.classList.contains("sr-only"))
        faults.add(`text beyond the edge: ${nameOf(e)}`);
    }
    for (const e of scope.querySelectorAll<HTMLElement>("[data-whole]"))
      if (isShown(e) && e.scrollHeight > e.clientHeight + 4 && !scrolls(e, "Y"))
        faults.add(`cut, ${e.scrollHeight} in ${e.clientHeight}: ${nameOf(e)}`);
    for (const e of scope.querySelectorAll<HTMLElement>(PRESSED)) {
      if (!isShown(e) || e.classList.contains("sr-only")) continue;
      const name = nameOf(e);
      const isOff = (e as HTMLButtonElement).disabled || e.getAttribute("aria-disabled") === "true";
      const inText = getComputedStyle(e).display === "inline";
      e.scrollIntoView({ block: "center", inline: "center" });
      const box = e.getBoundingClientRect();
      // Strips of the stair lie close, so that a whole warm-up is seen: no less than what WCAG 2.2 asks (2.5.8).
      const needs = e.matches("[data-testid=stair] [data-drill]") ? CLOSE : least;
      if (!inText && (box.width < needs || box.height < needs))
        faults.add(`small, ${Math.round(box.width)} × ${Math.round(box.height)}: ${name}`);
      // Long names of people and drills end in dots, and are whole where they are opened.
      const hasName = e.matches("a[href], input, select, textarea, [aria-expanded], [data-testid=stair] *");
      if (!hasName && cut(e)) faults.add(`cut: ${name}`);
      const [x, y] = [box.left + box.width / 2, box.top + box.height / 2];
      if (x < 0 || x > innerWidth || y < 0 || y > innerHeight) {
        faults.add(`out of reach: ${name}`);
        continue;
      }
      // Of these only the handles take the finger.
      if (e.matches(".range-pair *, .rise-slider *")) continue;
      const hit = document.elementFromPoint(x, y);
      if (hit && hit !== e && !e.contains(hit) && !hit.contains(e) && !isOff)
        faults.add(`covered by ${nameOf(hit)}: ${name}`);
      const isTwin =
        e.tabIndex < 0 &&
        [
          ...(e.closest("[role=listitem], [role=radiogroup]") ?? e).querySelectorAll<HTMLElement>(PRESSED),
        ].some((other) => other.tabIndex >= 0);
      if (e.tabIndex < 0 && !isTwin && !isOff) faults.add(`not reached by Tab: ${name}`);
    }
    return [...faults];
  }, LEAST);
}
