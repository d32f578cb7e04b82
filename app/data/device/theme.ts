import { THEME } from "~/early/keptKeys";
import { keep, readKept } from "./storage";

/** Dark for a hall, light for daylight. */
export type Theme = "light" | "dark";

const themeIn = (kept: unknown): Theme | null => (kept === "light" || kept === "dark" ? kept : null);

/** Puts a theme chosen earlier on the page; without a choice the system's own holds. */
export function applyKeptTheme(): void {
  const kept = readKept(THEME, themeIn);
  if (kept) document.documentElement.dataset.theme = kept;
}

/** The theme in force. */
export const themeNow = (): Theme =>
  readKept(THEME, themeIn) ?? (matchMedia("(prefers-color-scheme: dark)").matches ? "dark" : "light");

/** Puts a theme on the page, and keeps it. */
export function chooseTheme(theme: Theme): void {
  keep(THEME, theme);
  document.documentElement.dataset.theme = theme;
}
