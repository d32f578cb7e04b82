import { z } from "zod";
import { athleteFits, athleteMisfit, ownAthleteSchema } from "../club/members";
import { roleSchema } from "../club/role";
import { newIdSchema } from "../common/common";
import { MOST } from "../common/most";

/** What inviting sends: as what, and for an athlete whose. */
export const inviteInputSchema = z
  .strictObject({ id: newIdSchema, role: roleSchema, athleteId: ownAthleteSchema })
  .refine(athleteFits, athleteMisfit);

/** An invitation that can still be used. Its secret is told once, when it is made. */
export const inviteSchema = z.strictObject({
  id: z.uuid(),
  role: roleSchema,
  athleteId: z.uuid().nullable(),
  expiresAt: z.iso.datetime(),
  /** Who made it, as they are called now; null for whoever runs the server. */
  madeBy: z.string().nullable(),
});
/** An invitation just made, with the secret that is shown once. */
export const newInviteSchema = z.strictObject({ ...inviteSchema.shape, token: z.string() });
/** Invitations that can still be accepted. */
export const inviteListSchema = z.strictObject({ invites: z.array(inviteSchema).max(MOST.invites) });

/** What somebody who holds an invitation is told before they take it. */
export const invitationSchema = z.strictObject({
  clubName: z.string(),
  role: roleSchema,
  expiresAt: z.iso.datetime(),
});

export type Invite = z.infer<typeof inviteSchema>;
export type InviteInput = z.infer<typeof inviteInputSchema>;
export type Invitation = z.infer<typeof invitationSchema>;
