import { randomUUID } from "node:crypto";
import type { Role } from "@tonodrome/core/api";
import { Op, type Transaction } from "sequelize";
import type { Deed } from "../access/audit";
import type { Database } from "../db/connect";

interface Person {
  name: string;
  email: string;
  role: Role;
  /** The athlete whose account it is. */
  athlete?: string;
}

/** Whoever opens the demo acts as the first of them. None of them has a password. */
const people: Person[] = [
  { name: "Henrike Vogt", email: "henrike@demo.invalid", role: "owner" },
  { name: "Tomas Adeyemi", email: "tomas@demo.invalid", role: "coach" },
  { name: "Lior Bentsen", email: "lior@demo.invalid", role: "assistant" },
  { name: "Ilse Marrow", email: "ilse@demo.invalid", role: "athlete", athlete: "Ilse Marrow" },
];

const HOUR = 3_600_000;

/** Gives the demo club its people, and an audit trail of what they did to lay the day. */
export async function layPeople(
  { models }: Database,
  clubId: string,
  now: Date,
  transaction: Transaction,
): Promise<void> {
  const write = (
    action: Deed,
    userId: string,
    hoursAgo: number,
    subjectId: string | null,
    detail: object | null,
  ) =>
    models.AuditEntry.create(
      {
        clubId,
        action,
        userId,
        subjectId,
        detail: detail as Record<string, unknown> | null,
        at: new Date(now.getTime() - hoursAgo * HOUR),
      },
      { transaction },
    );
  const ids: string[] = [];
  for (const [i, { name, email, role, athlete }] of people.entries()) {
    const [user] = await models.User.findOrCreate({
      where: { email },
      defaults: { id: randomUUID(), email, name, passwordHash: null },
      transaction,
    });
    const own = athlete
      ? await models.Athlete.findOne({ where: { clubId, name: athlete }, transaction })
      : null;
    const joinedAt = new Date(now.getTime() - (200 - i) * HOUR);
    await models.Member.create(
      { clubId, userId: user.id, role, athleteId: own?.id ?? null, joinedAt },
      { transaction },
    );
    if (i === 0) await write("club.make", user.id, 200, null, null);
    else await write("member.join", user.id, 200 - i, user.id, { role });
    ids.push(user.id);
  }
  const [owner, coach] = ids as [string, string];
  const starts = await models.Start.findAll({
    where: { clubId, startsAt: { [Op.gt]: now } },
    order: ["startsAt"],
    transaction,
  });
  for (const [i, start] of starts.entries()) {
    await write("start.make", i % 2 === 0 ? owner : coach, 20 - i, start.id, null);
  }
  if (starts[0]) {
    await write("start.change", coach, 2, starts[0].id, { version: 2, changed: ["startsAt", "readyAt"] });
  }
}
