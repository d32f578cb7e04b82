import { useState } from "react";
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

/** The theme in force and a press to change to the other one. */
export function useTheme(): { theme: Theme; toggle: () => void } {
  const [theme, setTheme] = useState<Theme>(
    () => readKept(THEME, themeIn) ?? (matchMedia("(prefers-color-scheme: dark)").matches ? "dark" : "light"),
  );
  return {
    theme,
    toggle: () => {
      const next = theme === "dark" ? "light" : "dark";
      setTheme(next);
      keep(THEME, next);
      document.documentElement.dataset.theme = next;
    },
  };
}
