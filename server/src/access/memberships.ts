import type { Me } from "@tonodrome/core/api";
import { QueryTypes, type Transaction } from "sequelize";
import type { Database } from "../db/connect";
import { Refusal } from "../errors/refusal";

/** Who somebody is and the clubs they belong to. @throws Refusal `signed_out` when the account is gone */
export async function meOf(
  { sequelize, models }: Database,
  userId: string,
  transaction?: Transaction,
): Promise<Me> {
  const user = await models.User.findByPk(userId, { transaction });
  if (!user) throw new Refusal("signed_out", "This account no longer exists.");
  const clubs = await sequelize.query<Me["clubs"][number]>(
    `SELECT c.id, c.name, c.demo, m.role, m.athlete_id AS "athleteId"
     FROM members m JOIN clubs c ON c.id = m.club_id WHERE m.user_id = $1 ORDER BY c.name, c.id`,
    { bind: [userId], type: QueryTypes.SELECT, ...(transaction ? { transaction } : {}) },
  );
  return { id: user.id, name: user.name, email: user.email, demo: user.demo, clubs };
}
