import { randomUUID } from "node:crypto";
import type { Database } from "./connect";

/** Gives an empty database the one local club that everybody acts for until there are accounts. */
export async function ensureLocalClub({ models }: Database): Promise<void> {
  if ((await models.Club.count()) === 0) {
    await models.Club.create({ id: randomUUID(), name: "Our club", demo: false });
  }
}
