import type { Topic } from "@tonodrome/core/api";

/** What is read again when the server tells that something changed. */
export const KEYS: Record<Topic, string[]> = {
  club: ["members", "invites", "shares", "audit", "club-figures"],
  // A start has with it what the fit has to know of its athlete and its event.
  athletes: ["athletes", "starts", "start", "usual-day"],
  drills: ["drills", "starters"],
  events: ["events", "starts", "start", "usual-day"],
  templates: ["templates"],
  starts: ["starts", "start", "edits", "before", "day", "open-lists"],
  runs: ["runs", "run", "run-news", "open-runs"],
};

/** Questions whose answers are kept on this device. Athletes' profiles are not: they hold what is sensitive. */
export const KEPT: ReadonlySet<string> = new Set([
  "starts",
  "start",
  "events",
  "drills",
  "glance",
  "day",
  "open-lists",
]);
