import type { Transaction } from "sequelize";
import type { Database } from "../db/connect";
import { notFound, Refusal } from "../errors/refusal";

/**
 * Lets one request at a time change the members of a club, or delete it.
 * @throws Refusal `not_found` when it has been deleted meanwhile
 */
export async function lockClub(
  { models }: Database,
  clubId: string,
  transaction: Transaction,
): Promise<void> {
  const club = await models.Club.findByPk(clubId, { transaction, lock: transaction.LOCK.UPDATE });
  if (!club) throw notFound("club");
}

/**
 * Refuses to leave a club without an owner. To be called after the change, within the lock.
 * @throws Refusal `last_owner`
 */
export async function checkHasOwner(
  { models }: Database,
  clubId: string,
  transaction: Transaction,
): Promise<void> {
  if ((await models.Member.count({ where: { clubId, role: "owner" }, transaction })) > 0) return;
  throw new Refusal(
    "last_owner",
    "A club keeps at least one owner. Make somebody else an owner first, or delete the club.",
  );
}
