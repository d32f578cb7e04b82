import { useEffect, useRef } from "react";

/** Keys by their name in lower case ("arrowup", "+", "alt+arrowup", " ") and what they do. */
export type KeyMap = Record<string, () => void>;

/** When a key last did something here, as `performance.now()` has it. */
let actedAt = -Infinity;

/** Whether what is happening was brought about by a key: then the keyboard is where the hands are. */
export const isByKey = (): boolean => performance.now() - actedAt < RECENT;

/** So soon after a key, milliseconds. Custom. */
const RECENT = 1000;

/** Listens for keys while the screen is there, except in a field or on a control that uses the key itself. */
export function useKeys(keys: KeyMap): void {
  const latest = useRef(keys);
  latest.current = keys;
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey) return;
      const target = event.target as HTMLElement;
      if (target.closest("input, textarea, select, [role=dialog]")) return;
      const name = `${event.altKey ? "alt+" : ""}${event.key.toLowerCase()}`;
      const isControl = target.closest("a, button, [role=button], [role=radio]");
      if (isControl && (event.key === " " || event.key === "Enter")) return;
      const act = latest.current[name];
      if (!act) return;
      event.preventDefault();
      actedAt = performance.now();
      act();
    };
    window.addEventListener("keydown", press);
    return () => window.removeEventListener("keydown", press);
  }, []);
}
