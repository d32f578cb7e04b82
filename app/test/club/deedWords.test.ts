import type { AuditEntry } from "@tonodrome/core/api";
import { deedWords } from "~/features/club/deedWords";

const entry = (more: Partial<AuditEntry>): AuditEntry => ({
  id: "1",
  at: "2026-06-01T12:00:00.000Z",
  who: "Ada Finch",
  action: "club.make",
  what: null,
  detail: null,
  ...more,
});

it.each([
  [{}, "Ada Finch made the club"],
  [
    { action: "start.change", what: "Final, Bo", detail: { changed: ["startsAt", "readyAt"] } },
    "Ada Finch changed the time and time available of Final, Bo",
  ],
  [
    { action: "member.change", what: "Bo", detail: { from: "owner", to: "coach" } },
    "Ada Finch changed Bo from owner to coach",
  ],
  [
    { action: "plan.save", detail: { version: 3 } },
    "Ada Finch saved version 3 of the warm-up for something that is gone",
  ],
  [{ who: null, action: "a.newer.deed" }, "Somebody a.newer.deed"],
])("says %j as a sentence", (more, words) => {
  expect(deedWords(entry(more))).toBe(words);
});
