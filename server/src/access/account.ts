import { randomUUID } from "node:crypto";
import type { Join } from "@tonodrome/core/api";
import { type Transaction, UniqueConstraintError } from "sequelize";
import type { Database } from "../db/connect";
import { Refusal } from "../errors";
import { hashPassword } from "./password";

/**
 * Makes an account.
 * @returns its id
 * @throws Refusal `taken` when the address has one already
 */
export async function makeAccount(
  { models }: Database,
  { name, email, password }: Join,
  transaction: Transaction,
): Promise<string> {
  const id = randomUUID();
  const passwordHash = await hashPassword(password);
  try {
    await models.User.create({ id, email, name, passwordHash }, { transaction });
  } catch (error) {
    if (!(error instanceof UniqueConstraintError)) throw error;
    throw new Refusal("taken", "This address has an account already. Sign in with it instead.", {
      path: "email",
    });
  }
  return id;
}
