/** What a start is: a competition, which gets everything, a hard session, which gets the usual, or an easy one. */
export const SESSION_KINDS = ["competition", "hard", "easy"] as const;
export type SessionKind = (typeof SESSION_KINDS)[number];

const NAMES: Record<SessionKind, string> = {
  competition: "Competition",
  hard: "Hard session",
  easy: "Easy session",
};

/** What a kind is called. */
export const sessionName = (kind: SessionKind): string => NAMES[kind];

/** What of a day says its kind: a competition where nothing is said. */
type OfKind = { session?: SessionKind | undefined };

/** What kind a start is. */
export const sessionKindOf = ({ session }: OfKind): SessionKind => session ?? "competition";

/** What an easy session asks for. */
export const EASY_SESSION = "No formal warm-up needed: the first ten minutes easier than the rest.";

/**
 * Whether drills are to vary: in training they do, in a competition as the approach has it.
 * @param approach what its approach wants; undefined where it has none
 */
export function wantsVariety(day: OfKind, approach: "same" | "vary" | undefined): boolean {
  return sessionKindOf(day) === "competition" ? approach === "vary" : true;
}

/** Whether nothing is to be new: in a competition, where the approach keeps to the same. */
export function wantsSame(day: OfKind, approach: "same" | "vary" | undefined): boolean {
  return sessionKindOf(day) === "competition" && approach === "same";
}
