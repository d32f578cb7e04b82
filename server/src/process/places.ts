import { Refusal } from "../errors/refusal";

/** Places for something that takes long. */
export interface Places {
  /**
   * Takes a place, in the same step in which it is looked whether one is free: nothing is awaited in between, or many would
   * see the same free place.
   * @param whose of whom there is one at a time: a person, a club
   * @returns gives the place back; again, and nothing happens
   * @throws Refusal `too_many`
   */
  take(...whose: readonly string[]): () => void;
}

/**
 * @param most places on this server
 * @param what what is under way: "Other exports are under way."
 * @param retryAfter seconds after which asking again makes sense
 */
export function makePlaces(most: number, what: string, retryAfter: number): Places {
  const held = new Set<readonly string[]>();
  return {
    take(...whose) {
      const isTaken = [...held].some((others) => others.some((other) => whose.includes(other)));
      if (isTaken || held.size >= most)
        throw new Refusal("too_many", `${what} Try again in ${waitWords(retryAfter)}.`, {}, retryAfter);
      held.add(whose);
      return () => void held.delete(whose);
    },
  };
}

const waitWords = (seconds: number) => (seconds < 60 ? "a moment" : "a minute");
