import type { FastifyRequest } from "fastify";
import type { Transaction } from "sequelize";
import type { Database } from "../db/connect";
import { sessionOf } from "./access";

/** The deeds that the audit trail records. */
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
  /** What it was done to. The name is looked up when the trail is read, so that a removed name is gone there too. */
  id?: string;
  /** Roles, versions, names of fields; never what people typed. */
  detail?: Record<string, unknown>;
  /** Who did it, where that is not whoever is signed in. */
  userId?: string;
}

/** Writes a deed into the club's audit trail, in the deed's own transaction. */
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
