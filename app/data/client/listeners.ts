/** Whoever is to be told when something changes: what every store here has. */
export class Listeners {
  private readonly all = new Set<() => void>();

  /** @returns what ends it */
  readonly subscribe = (listener: () => void): (() => void) => {
    this.all.add(listener);
    return () => this.all.delete(listener);
  };

  /** Tells all of them. */
  tell(): void {
    for (const listener of this.all) listener();
  }
}
