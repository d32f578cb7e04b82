import type { Role } from "@tonodrome/core/api";

/** The order in which roles are offered: from the most one may do to the least. */
export const ROLES: readonly Role[] = ["owner", "coach", "assistant", "athlete"];

/** What a role is called. */
export const ROLE_NAMES: Record<Role, string> = {
  owner: "Owner",
  coach: "Coach",
  assistant: "Assistant",
  athlete: "Athlete",
};

/** "as a coach": how somebody belongs to a club. */
export const ROLE_AS: Record<Role, string> = {
  owner: "as an owner",
  coach: "as a coach",
  assistant: "as an assistant",
  athlete: "as an athlete",
};

/** What a role may do, in one line. */
export const ROLE_MEANS: Record<Role, string> = {
  owner: "Everything, members and deletion included",
  coach: "Everything but members and deletion",
  assistant: "Runs warm-ups and reads everything",
  athlete: "Sees their own warm-ups and runs",
};
