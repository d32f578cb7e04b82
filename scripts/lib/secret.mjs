import { randomBytes } from "node:crypto";
import { existsSync, readFileSync, writeFileSync } from "node:fs";
import path from "node:path";

/** A key that nobody can guess, for a server that lives only as long as its test. */
export const freshSecret = () => randomBytes(48).toString("base64url");

/**
 * The key that signs cookies: the environment's, or else one made at the first start and kept, readable by its owner
 * alone, in the data folder. Losing it signs everybody out and nothing else.
 */
export function ensureSecret(dataDir) {
  if (process.env.TONODROME_SECRET) return process.env.TONODROME_SECRET;
  const file = path.join(dataDir, "secret");
  if (!existsSync(file)) writeFileSync(file, freshSecret(), { mode: 0o600 });
  return readFileSync(file, "utf8").trim();
}
