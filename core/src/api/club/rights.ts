/** What a person may be in a club. */
export const ROLES = ["owner", "coach", "assistant", "athlete"] as const;
export type Role = (typeof ROLES)[number];

/**
 * What can be done in a club:
 * - `see` what concerns oneself: an athlete's own warm-ups and runs, and for everyone else all of them;
 * - `read` everything that is coached with;
 * - `run` warm-ups and log them;
 * - `build` athletes, drills, starts, warm-ups and shared links, export and import;
 * - `manage` members and invitations, deletion, the audit trail.
 */
export type Action = "see" | "read" | "run" | "build" | "manage";

const MAY: Record<Role, readonly Action[]> = {
  athlete: ["see"],
  assistant: ["see", "read", "run"],
  coach: ["see", "read", "run", "build"],
  owner: ["see", "read", "run", "build", "manage"],
};

/** The roles that may do this. */
export function rolesThat(action: Action): Role[] {
  return ROLES.filter((role) => may(role, action));
}

/** Whether somebody in this role may do this. */
export function may(role: Role, action: Action): boolean {
  return MAY[role].includes(action);
}
