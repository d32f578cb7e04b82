import { everyOutbox } from "./outbox";

/** Sends whatever this device has kept and the server does not have. */
export async function sendEverything(): Promise<void> {
  await Promise.all(everyOutbox().map((box) => box.sendAll()));
}

/** Something that is not on the server, and why. */
export interface NotSent {
  /** What it is: "1 run". */
  what: string;
  sentence: string;
  /** Tries it again. */
  again: () => void;
}

/** Why something of a club that one was put out of stays here. */
const OUTSIDE = "You are not in its club any more.";

/** Everything of whoever is here that the server will not take as it is, in one list. */
export function everyFailure(): NotSent[] {
  return everyOutbox().flatMap((box) =>
    box.keys().flatMap((key) => {
      const failure = box.failureOf(key);
      const sentence = failure?.isFinal ? failure.sentence : box.isOutside(key) ? OUTSIDE : null;
      return sentence ? [{ what: box.words(1), sentence, again: () => void box.again(key) }] : [];
    }),
  );
}

/** What only this device knows, in words; empty where that is nothing. @example ["2 runs", "1 list"] */
export const everythingUnsent = (): string[] =>
  everyOutbox().flatMap((box) => (box.unsent() > 0 ? [box.words(box.unsent())] : []));

/** What waits here for people who are not signed in, by name. @example [{ name: "Bo Larch", what: ["1 run"] }] */
export function waitingForOthers(): { name: string; what: string[] }[] {
  const byOwner = new Map<string, { name: string; what: string[] }>();
  for (const box of everyOutbox())
    for (const { owner, count } of box.ofOthers()) {
      const known = byOwner.get(owner.id) ?? { name: owner.name, what: [] };
      known.what.push(box.words(count));
      byOwner.set(owner.id, known);
    }
  return [...byOwner.values()];
}
