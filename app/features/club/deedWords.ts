import { listOf } from "@tonodrome/core";
import type { AuditEntry } from "@tonodrome/core/api";

/** What a changed field of a start is called. */
const FIELDS: Record<string, string> = {
  athlete: "athlete",
  title: "title",
  venue: "venue",
  zone: "time zone",
  startsAt: "time",
  readyAt: "time available",
  listedAt: "time on the start list",
  eventId: "event",
  order: "number in the running order",
  setting: "day's conditions",
};

type Say = (what: string, detail: Record<string, unknown>) => string;

const DEEDS: Record<string, Say> = {
  "club.make": () => "made the club",
  "club.rename": () => "renamed the club",
  "club.export": () => "exported the club",
  "club.import": () => "imported a club's file",
  "member.join": (_, d) => `joined as ${d.role}`,
  "member.change": (what, d) => `changed ${what} from ${d.from} to ${d.to}`,
  "member.remove": (what) => `took ${what} out of the club`,
  "invite.make": (_, d) => `made an invitation as ${d.role}`,
  "invite.withdraw": () => "withdrew an invitation",
  "athlete.make": (what) => `added the athlete ${what}`,
  "figures.change": () => "changed the figures of the checks",
  "athlete.change": (what) => `changed what is known of ${what}`,
  "athlete.anonymise": (what) => `made an athlete anonymous: ${what}`,
  "athlete.delete": () => "deleted an athlete",
  "drill.make": (what) => `put ${what} on the shelf`,
  "drill.change": (what) => `changed ${what} on the shelf`,
  "drill.archive": (what) => `took ${what} off the shelf`,
  "drill.restore": (what) => `put ${what} back on the shelf`,
  "shelf.install": (_, d) => `put a starter shelf up: ${d.added} drills added, ${d.kept} left as they were`,
  "event.make": (what) => `made the event ${what}`,
  "event.change": (what) => `changed the event ${what}`,
  "template.make": (what) => `kept the template ${what}`,
  "template.delete": () => "deleted a template",
  "start.make": (what) => `made the start ${what}`,
  "start.change": (what, d) => `changed ${fields(d.changed)} of ${what}`,
  "start.delete": () => "deleted a start",
  "start.restore": (what) => `took back that ${what} was deleted`,
  "order.make": (what) => `made the running order ${what}`,
  "order.change": (what, d) => `saved version ${d.version} of the running order ${what}`,
  "order.delete": () => "deleted a running order",
  "order.now": (what, d) => `said that number ${d.number} is on in ${what}`,
  "shelf.take": (_, d) => `took a table of drills: ${d.made} made, ${d.changed} changed`,
  "list.take": (_, d) => `took a start list: ${d.made} starts made, ${d.changed} changed`,
  "day.save": (what, d) => `saved version ${d.version} of the day of ${what}`,
  "plan.save": (what, d) => `saved version ${d.version} of the warm-up for ${what}`,
  "plan.refuse": (what) => `had an edit of the warm-up for ${what} refused: someone was quicker`,
  "run.make": (what) => `began a run of ${what}`,
  "calendar.make": () => "made an address for calendars",
  "calendar.withdraw": () => "withdrew an address for calendars",
  "share.make": (what) => `shared the warm-up for ${what}`,
  "share.withdraw": (what) => `withdrew a link to the warm-up for ${what}`,
};

/** One entry of the audit trail as a sentence. A deed of a newer server is named as it is. */
export function deedWords({ who, action, what, detail }: AuditEntry): string {
  const say = DEEDS[action] ?? (() => action);
  return `${who ?? "Somebody"} ${say(what ?? "something that is gone", detail ?? {})}`;
}

function fields(changed: unknown): string {
  const names = Array.isArray(changed) ? changed.map((f) => FIELDS[String(f)] ?? String(f)) : [];
  if (names.length === 0) return "nothing";
  return `the ${listOf(names)}`;
}
