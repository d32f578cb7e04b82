/**
 * Does something once what is there now is painted; in the background, where nothing is, once somebody looks again.
 * @param later so long after that frame, milliseconds
 */
export function afterPaint(act: () => void, later = 0): void {
  if (typeof requestAnimationFrame === "function") requestAnimationFrame(() => setTimeout(act, later));
}
