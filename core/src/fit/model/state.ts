/** What the future of a partial plan may ask of its past, besides time: labels of one state are compared. */
export interface State {
  /** Where the first placed drill is done; −1 when none is. */
  place: number;
  /** Effort at which the climb is entered, with nothing that leads up to it placed yet; −1 when it is not. */
  entry: number;
  /** Effort that it goes on from with nothing before it; −1 when it may begin anywhere. */
  coldFrom: number;
  /** Whether something that ends the wait is kept. */
  warm: boolean;
  /** A bit for every drill that one of those kept must follow. */
  awaited: number;
}

/** Two states with one key are the same. */
export function keyOf({ place, entry, coldFrom, warm, awaited }: State): string {
  return `${place},${entry},${coldFrom},${warm ? 1 : 0},${awaited}`;
}

/** Whether a bit is among some: with more than 31 of them, shifting would not do. */
export function has(bits: number, bit: number): boolean {
  return Math.floor(bits / bit) % 2 === 1;
}
