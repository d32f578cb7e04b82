import { z } from "zod";
import { isPlainText, isStorable } from "../../words/plainText";
import { nameSchema, verbatimSchema } from "../../words/text";
import { clubSchema } from "../club/club";
import { roleSchema } from "../club/role";
import { MOST } from "../common/most";

/** Shortest password taken, characters. Length is the one rule: it is what makes guessing slow. */
export const LEAST_PASSWORD = 10;

/** One spelling per address, so that nobody has two accounts by a capital letter. */
export const emailSchema = z
  .string()
  .trim()
  .toLowerCase()
  .max(254, { error: "This address is too long." })
  .refine(isPlainText, { error: "Give an e-mail address, like ada@example.org." })
  .pipe(z.email({ error: "Give an e-mail address, like ada@example.org." }));

/** A password that is to be set: long enough, and storable. */
export const newPasswordSchema = z
  .string()
  .min(LEAST_PASSWORD, { error: `Use at least ${LEAST_PASSWORD} characters.` })
  .max(200, { error: "Use at most 200 characters." })
  .refine(isStorable, { error: "Use ordinary characters." })
  .refine((text) => text.trim().length >= LEAST_PASSWORD / 2, { error: "Use more than blanks." });

const givenPasswordSchema = verbatimSchema(1000).min(1, { error: "Give your password." });

const accountShape = { name: nameSchema, email: emailSchema, password: newPasswordSchema };

/** A new account with a club of its own. */
export const signUpSchema = z.strictObject({ ...accountShape, clubName: nameSchema });
/** A new account that joins the club of an invitation. */
export const joinSchema = z.strictObject(accountShape);
/** What signing in sends. */
export const signInSchema = z.strictObject({ email: emailSchema, password: givenPasswordSchema });
/** What changing one's password sends: the old one too. */
export const passwordChangeSchema = z.strictObject({
  current: givenPasswordSchema,
  next: newPasswordSchema,
});

/** What the sign-in page has to know before anybody is signed in. */
export const doorSchema = z.strictObject({
  /** Whether there is a demo club to open. */
  demo: z.boolean(),
  /** Whether anybody may make an account with a club; by an invitation one may always. */
  signUp: z.boolean(),
});

/** A new password by the link that whoever runs the server made for somebody who forgot theirs. */
export const passwordResetSchema = z.strictObject({
  token: verbatimSchema(200),
  password: newPasswordSchema,
});

/** The end of one's account: asks for the password, so that it is never a slip or a stranger at an open page. */
export const accountDeletionSchema = z.strictObject({ password: givenPasswordSchema });

/** A club as one of its members sees it. */
export const membershipSchema = z.strictObject({
  ...clubSchema.shape,
  demo: z.boolean(),
  role: roleSchema,
  /** With the role athlete: whose warm-ups and runs are theirs. Null when that athlete was deleted. */
  athleteId: z.uuid().nullable(),
});

/** Who is signed in, and the clubs they belong to, by name. */
export const meSchema = z.strictObject({
  id: z.uuid(),
  name: z.string(),
  email: z.string(),
  /** A visitor of the demo, who has no account. */
  demo: z.boolean(),
  clubs: z.array(membershipSchema).max(MOST.clubs),
});

export type SignUp = z.infer<typeof signUpSchema>;
export type SignIn = z.infer<typeof signInSchema>;
export type Join = z.infer<typeof joinSchema>;
export type PasswordChange = z.infer<typeof passwordChangeSchema>;
export type PasswordReset = z.infer<typeof passwordResetSchema>;
export type AccountDeletion = z.infer<typeof accountDeletionSchema>;
export type Membership = z.infer<typeof membershipSchema>;
export type Me = z.infer<typeof meSchema>;
