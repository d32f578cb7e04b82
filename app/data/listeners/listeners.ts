/** Those who want to be told of something. */
export interface Listeners<Told extends unknown[]> {
  /** @returns what ends it */
  add: (listener: (...told: Told) => void) => () => void;
  tell: (...told: Told) => void;
}

export function makeListeners<Told extends unknown[] = []>(): Listeners<Told> {
  const all = new Set<(...told: Told) => void>();
  return {
    add(listener) {
      all.add(listener);
      return () => void all.delete(listener);
    },
    tell(...told) {
      for (const listener of all) listener(...told);
    },
  };
}
