import { useEffect, useRef } from "react";
import type { Selection } from "./useSelection";

/** Selects a drill further up or down, and has the keyboard follow: it is read out, and Enter opens it. */
export function useFocusedStep({
  step,
  selectedId,
}: Pick<Selection, "step" | "selectedId">): (by: number) => void {
  const stepped = useRef(false);
  useEffect(() => {
    if (!stepped.current || !selectedId) return;
    stepped.current = false;
    document.querySelector<HTMLElement>(`[data-drill="${selectedId}"]`)?.focus();
  }, [selectedId]);
  return (by) => {
    stepped.current = true;
    step(by);
  };
}
