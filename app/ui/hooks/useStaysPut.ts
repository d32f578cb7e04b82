import { type RefObject, useLayoutEffect, useRef } from "react";

/** What was pressed stays under the thumb for so long, milliseconds. Custom. */
const HELD = 4_000;

/** What an element is scrolled in. */
function scrollerOf(element: HTMLElement): Element | null {
  for (let at = element.parentElement; at; at = at.parentElement)
    if (at.scrollHeight > at.clientHeight && /auto|scroll/.test(getComputedStyle(at).overflowY)) return at;
  return document.scrollingElement;
}

/**
 * Keeps something where it was pressed, whatever grows or shrinks above it: the next press is to land on the same button.
 * @returns to be called with each press
 */
export function useStaysPut(ref: RefObject<HTMLElement | null>): () => void {
  const held = useRef({ top: 0, until: 0 });
  useLayoutEffect(() => {
    const { current } = ref;
    if (!current || performance.now() > held.current.until) return;
    const by = current.getBoundingClientRect().top - held.current.top;
    if (Math.abs(by) >= 1) scrollerOf(current)?.scrollBy({ top: by, behavior: "instant" });
  });
  return () => {
    const top = ref.current?.getBoundingClientRect().top ?? 0;
    held.current = { top, until: performance.now() + HELD };
  };
}
