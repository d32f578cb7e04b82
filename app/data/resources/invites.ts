import type { InviteInput } from "@tonodrome/core/api";
import { useClubList, useMake, useRemove } from "~/data/resources/resource";

/** Invitations that can still be accepted. */
export const useInvites = () => useClubList("inviteList", "/invites", "invites");

/** Makes an invitation. */
export const useInvite = () =>
  useMake<InviteInput, "newInvite">("newInvite", "inviteInput", "/invites", "invites");

/** Withdraws an invitation: nobody joins by it from then on. */
export const useWithdrawInvite = () => useRemove("/invites", "invites");
