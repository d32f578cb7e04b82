import { randomUUID } from "node:crypto";
import { HOUR_MS } from "@tonodrome/core";
import type { Role } from "@tonodrome/core/api";
import type { Deed } from "../access/audit";

interface Person {
  name: string;
  email: string;
  role: Role;
  /** The athlete whose account it is. */
  athlete?: string;
}

/** Whoever opens a demo acts as the first of its people. None of them has a password. */
const people: Person[] = [
  { name: "Henrike Vogt", email: "henrike@demo.invalid", role: "owner" },
  { name: "Tomas Adeyemi", email: "tomas@demo.invalid", role: "coach" },
  { name: "Lior Bentsen", email: "lior@demo.invalid", role: "assistant" },
  { name: "Ilse Marrow", email: "ilse@demo.invalid", role: "athlete", athlete: "Ilse Marrow" },
];

/** The people of one demo club, who are in no other, and an audit trail of what they did to lay the day. */
export function peopleRows(
  clubId: string,
  athletes: readonly { id: string; name: string }[],
  starts: readonly { id: string }[],
  now: Date,
) {
  const users = people.map(({ name, email }) => ({
    id: randomUUID(),
    name,
    email,
    passwordHash: null,
    demo: true,
  }));
  const [owner, coach] = users as [(typeof users)[0], (typeof users)[0]];
  const ago = (hours: number) => new Date(now.getTime() - hours * HOUR_MS);
  const deed = (
    action: Deed,
    userId: string,
    hours: number,
    subjectId: string | null,
    detail: Record<string, unknown> | null = null,
  ) => ({ clubId, action, userId, subjectId, detail, at: ago(hours) });
  const [next] = starts;
  return {
    users,
    members: people.map(({ role, athlete }, i) => ({
      clubId,
      userId: (users[i] as (typeof users)[0]).id,
      role,
      athleteId: athletes.find((a) => a.name === athlete)?.id ?? null,
      joinedAt: ago(200 - i),
      demo: true,
    })),
    trail: [
      ...users.map(({ id }, i) =>
        i === 0
          ? deed("club.make", id, 200, null)
          : deed("member.join", id, 200 - i, id, { role: people[i]?.role }),
      ),
      ...starts.map(({ id }, i) => deed("start.make", (i % 2 === 0 ? owner : coach).id, 20 - i, id)),
      ...(next
        ? [
            deed("start.change", coach.id, 2, next.id, {
              version: 2,
              changed: ["startsAt", "readyAt"],
            }),
          ]
        : []),
    ],
  };
}
