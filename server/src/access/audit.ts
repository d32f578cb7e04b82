import type { FastifyRequest } from "fastify";
import type { Transaction } from "sequelize";
import type { Database } from "../db/connect";
import { sessionOf } from "./access";

/** What can be done to a club's things, as the audit trail says it. */
export type Deed =
  | "club.make"
  | "club.rename"
  | "figures.change"
  | "club.export"
  | "club.import"
  | "member.join"
  | "member.change"
  | "member.remove"
  | "invite.make"
  | "invite.withdraw"
  | "athlete.make"
  | "athlete.change"
  | "athlete.anonymise"
  | "athlete.delete"
  | "drill.make"
  | "drill.change"
  | "drill.archive"
  | "drill.restore"
  | "shelf.install"
  | "event.make"
  | "event.change"
  | "template.make"
  | "template.delete"
  | "start.make"
  | "start.change"
  | "start.delete"
  | "start.restore"
  | "order.make"
  | "order.change"
  | "order.delete"
  | "order.now"
  | "list.take"
  | "shelf.take"
  | "day.save"
  | "plan.save"
  | "plan.refuse"
  | "run.make"
  | "calendar.make"
  | "calendar.withdraw"
  | "share.make"
  | "share.withdraw";

/** What a deed was done to. */
export interface Subject {
  clubId: string;
  /** What it was done to. Its name is looked up when the trail is read, so that a name taken away is gone there too. */
  id?: string;
  /** Roles, versions, names of fields: never what people typed. */
  detail?: Record<string, unknown>;
  /** Who did it, where that is not whoever is signed in. */
  userId?: string;
}

/** Writes into the club's audit trail, in the same transaction as the deed itself. */
export async function audit(
  { models }: Database,
  transaction: Transaction,
  request: FastifyRequest,
  action: Deed,
  { clubId, id, detail, userId }: Subject,
): Promise<void> {
  await models.AuditEntry.create(
    {
      clubId,
      action,
      userId: userId ?? sessionOf(request).userId,
      subjectId: id ?? null,
      detail: detail ?? null,
      at: new Date(),
    },
    { transaction },
  );
}
