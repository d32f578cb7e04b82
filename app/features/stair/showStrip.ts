/** Brings the strip of a drill into sight and the keyboard to it, once what lies over it is gone. */
export function showStrip(itemId: string): void {
  requestAnimationFrame(() => {
    const strip = document.querySelector<HTMLElement>(`[data-drill="${itemId}"]`);
    strip?.scrollIntoView({ block: "center" });
    strip?.focus();
  });
}
