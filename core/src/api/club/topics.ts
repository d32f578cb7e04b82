// Apart from the shapes: what is shown first needs it without them.

/** What may have changed in a club: a hint to read it again, never the news itself. */
export const TOPICS = ["club", "athletes", "drills", "events", "templates", "starts", "runs"] as const;
export type Topic = (typeof TOPICS)[number];
