import { useLayoutEffect, useRef } from "react";
import type { View } from "react-native";

/** The nearest element around one that scrolls. */
function scrollerOf(element: HTMLElement | null): HTMLElement | null {
  for (let at = element; at; at = at.parentElement)
    if (/auto|scroll/.test(getComputedStyle(at).overflowY)) return at;
  return null;
}

/** Keeps how far what lies around a view was scrolled while the view was shown, and goes back there when it is shown again. */
export function useKeptScroll(shown: boolean) {
  const view = useRef<View>(null);
  const top = useRef(0);
  const isFirst = useRef(true);
  useLayoutEffect(() => {
    const scroller = scrollerOf(view.current as unknown as HTMLElement | null);
    if (!scroller) return;
    if (!isFirst.current) scroller.scrollTop = shown ? top.current : 0;
    isFirst.current = false;
    if (!shown) return;
    const follow = () => {
      top.current = scroller.scrollTop;
    };
    scroller.addEventListener("scroll", follow);
    return () => scroller.removeEventListener("scroll", follow);
  }, [shown]);
  return view;
}
