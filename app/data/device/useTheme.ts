import { useState } from "react";
import { chooseTheme, type Theme, themeNow } from "./theme";

/** The theme in force and a press to change to the other one. */
export function useTheme(): { theme: Theme; toggle: () => void } {
  const [theme, setTheme] = useState<Theme>(themeNow);
  return {
    theme,
    toggle: () => {
      const next = theme === "dark" ? "light" : "dark";
      setTheme(next);
      chooseTheme(next);
    },
  };
}
