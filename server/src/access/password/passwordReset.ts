import { QueryTypes, type Transaction } from "sequelize";
import type { Database } from "../../db/connect";
import { Refusal } from "../../errors/refusal";
import { endSessions } from "../session/session";
import { hashOf, newToken } from "../session/token";
import { hashPassword } from "./password";
import { checkStrength } from "./passwordStrength";

/** How long a link to a new password can be used. */
const LIFE = "1 day";

/**
 * Makes a link by which somebody who forgot their password sets a new one, for whoever runs the server to hand over.
 * @returns the path of the link; null when nobody has that address
 */
export async function makeResetLink({ sequelize, models }: Database, email: string): Promise<string | null> {
  const user = await models.User.findOne({ where: { email: email.trim().toLowerCase(), demo: false } });
  if (!user) return null;
  const { token, tokenHash } = newToken();
  await sequelize.query("DELETE FROM password_resets WHERE user_id = $1", { bind: [user.id] });
  await sequelize.query(
    `INSERT INTO password_resets (token_hash, user_id, expires_at) VALUES ($1, $2, now() + interval '${LIFE}')`,
    { bind: [tokenHash, user.id] },
  );
  return `/reset/${token}`;
}

/**
 * Sets a new password by such a link, once, and signs the person out everywhere.
 * @returns who it was
 * @throws Refusal `link_over`
 */
export async function resetPassword(
  database: Database,
  token: string,
  password: string,
  transaction: Transaction,
): Promise<string> {
  const { sequelize, models } = database;
  const [reset] = await sequelize.query<{ userId: string }>(
    `DELETE FROM password_resets WHERE token_hash = $1 AND expires_at > now() RETURNING user_id AS "userId"`,
    { bind: [hashOf(token)], type: QueryTypes.SELECT, transaction },
  );
  const user = reset && (await models.User.findByPk(reset.userId, { transaction }));
  if (!user) {
    throw new Refusal(
      "link_over",
      "This link was used already, or has expired. Ask whoever runs the server for a new one.",
    );
  }
  checkStrength(password, [user.email, user.name], "password");
  await user.update({ passwordHash: await hashPassword(password) }, { transaction });
  await endSessions(database, user.id, transaction);
  return user.id;
}
