import { createHash, randomBytes } from "node:crypto";

/** A secret as it is handed out, and its hash, which is stored. */
export interface Token {
  /** What the person holds: 256 random bits, in letters that fit an address. */
  token: string;
  /** What the database stores: whoever reads a backup cannot use it. */
  tokenHash: Buffer;
}

/** Makes the secret of a session, an invitation or a shared link. */
export function newToken(): Token {
  const token = randomBytes(32).toString("base64url");
  return { token, tokenHash: hashOf(token) };
}

/** SHA-256 is enough here: the secret is too long to be guessed, so it needs no slow hash as a password does. */
export function hashOf(token: string): Buffer {
  return createHash("sha256").update(token).digest();
}
