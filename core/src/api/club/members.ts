import { z } from "zod";
import { clubParamsSchema } from "../common/common";
import { MOST } from "../common/most";
import { roleSchema } from "./role";

/** The athlete that an account in the role athlete goes with. */
export const ownAthleteSchema = z.uuid({ error: "Choose the athlete." }).nullable();

/** Whether role and athlete go together. */
export function athleteFits({ role, athleteId }: { role: string; athleteId: string | null }): boolean {
  return (role === "athlete") === (athleteId !== null);
}
/** What is said where a role and an athlete's record do not go together. */
export const athleteMisfit = {
  path: ["athleteId"],
  error: "An athlete's account goes with one athlete of the club; other roles go with none.",
};

/** A member as the server answers. */
export const memberSchema = z.strictObject({
  userId: z.uuid(),
  name: z.string(),
  email: z.string(),
  role: roleSchema,
  athleteId: z.uuid().nullable(),
  joinedAt: z.iso.datetime(),
});
/** Every member of a club. */
export const memberListSchema = z.strictObject({ members: z.array(memberSchema).max(MOST.members) });

/** The club and the member in an address. */
export const memberParamsSchema = z.strictObject({
  ...clubParamsSchema.shape,
  userId: z.uuid({ error: "The id is not a UUID." }),
});

/** What changing a member sends, with the role they had when it was read. */
export const memberWriteSchema = z
  .strictObject({
    role: roleSchema,
    athleteId: ownAthleteSchema,
    /** The role as last read; another one by now is refused. */
    was: roleSchema,
  })
  .refine(athleteFits, athleteMisfit);

export type Member = z.infer<typeof memberSchema>;
export type MemberWrite = z.infer<typeof memberWriteSchema>;
