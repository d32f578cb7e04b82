import { hash, verify } from "@node-rs/argon2";

/** Argon2id with 19 MiB, two passes, one lane: OWASP's password storage cheat sheet, first choice. */
const COST = { memoryCost: 19_456, timeCost: 2, parallelism: 1 };

/** Returns a password's hash, with salt and cost. The letters are normalised first, because keyboards compose them differently. */
export function hashPassword(password: string): Promise<string> {
  return hash(password.normalize("NFC"), COST);
}

let decoy: Promise<string> | undefined;

/**
 * Returns whether a password is the one that was hashed. Without a hash it takes as long and returns false, so that the time does
 * not tell whether the account exists.
 */
export async function isPassword(password: string, kept: string | null | undefined): Promise<boolean> {
  if (!kept) {
    decoy ??= hashPassword("nobody's password");
    await verify(await decoy, password);
    return false;
  }
  const composed = password.normalize("NFC");
  if (await verify(kept, composed)) return true;
  // Hashed by a release that did not normalise letters.
  const others = new Set([password, password.normalize("NFD")]);
  others.delete(composed);
  for (const other of others) if (await verify(kept, other)) return true;
  return false;
}
