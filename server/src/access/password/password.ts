import { hash, verify } from "@node-rs/argon2";

/** Argon2id with 19 MiB, two passes, one lane: OWASP's password storage cheat sheet, first choice. */
const COST = { memoryCost: 19_456, timeCost: 2, parallelism: 1 };

/** A password's memory-hard hash, with its salt and cost in it. Keyboards compose letters differently: it is of one form. */
export function hashPassword(password: string): Promise<string> {
  return hash(password.normalize("NFC"), COST);
}

let decoy: Promise<string> | undefined;

/**
 * Whether a password is the one that was hashed. Without a hash it takes as long and answers no, so that the time
 * taken does not tell whether there is such an account.
 */
export async function isPassword(password: string, kept: string | null | undefined): Promise<boolean> {
  if (!kept) {
    decoy ??= hashPassword("nobody's password");
    await verify(await decoy, password);
    return false;
  }
  const composed = password.normalize("NFC");
  if (await verify(kept, composed)) return true;
  // Hashed by a release that took letters as they came.
  const others = new Set([password, password.normalize("NFD")]);
  others.delete(composed);
  for (const other of others) if (await verify(kept, other)) return true;
  return false;
}
