/** What Today looked like when it was seen last, as the device keeps it. */
export interface Sight {
  /** What was drawn, without what is only true of a moment. */
  html: string;
  /** The rules that its classes stand for, as far as no file has them. */
  css: string;
  /** The type of the page, which is not known yet either. */
  fonts: string;
  /** Whether it was drawn as for a screen at least so wide, pixels. */
  wide: { from: number; is: boolean };
  /** It says what is next until then, milliseconds since the epoch. */
  until: number;
}

/** The application is there long before, or not at all: then what is below has the word, milliseconds. */
const LONGEST_MS = 10_000;

const isSight = (kept: unknown): kept is Sight => {
  const { html, css, fonts, wide, until } = (kept ?? {}) as Partial<Sight>;
  const isDrawn = [html, css, fonts].every((text) => typeof text === "string");
  return isDrawn && typeof until === "number" && typeof wide?.from === "number";
};

/**
 * Shows what was seen last over the page, where it still says what is next: to be looked at, and nothing else. It has a
 * root of its own, so that nobody finds anything twice.
 * @param now milliseconds since the epoch
 * @returns where it is, to take it away; null where there is nothing to show
 */
export function showSight(kept: unknown, theme: unknown, now: number): ShadowRoot | null {
  if (!isSight(kept) || now >= kept.until || window.innerWidth >= kept.wide.from !== kept.wide.is)
    return null;
  if (theme === "light" || theme === "dark") document.documentElement.dataset.theme = theme;
  const host = document.createElement("div");
  host.inert = true;
  host.ariaHidden = "true";
  host.style.cssText = "position:fixed;inset:0;z-index:1";
  const root = host.attachShadow({ mode: "closed" });
  root.innerHTML = kept.html;
  const styleOf = (text: string) => Object.assign(document.createElement("style"), { textContent: text });
  document.head.append(styleOf(kept.fonts));
  const files = [...document.querySelectorAll("link[rel=stylesheet]")].map((link) => link.cloneNode());
  root.prepend(styleOf(`${kept.css}\n:host>div{height:100%}`), ...files);
  document.body.append(host);
  setTimeout(() => host.remove(), LONGEST_MS);
  return root;
}
