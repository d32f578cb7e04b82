import { type Action, rolesThat } from "@tonodrome/core/api";
import type { Transaction } from "sequelize";
import type { Database } from "../db/connect";

/** What a person sets up in a club and what ends with their right to do so: invitations, links, calendars. */
const SET_UP: Record<string, Action> = { invites: "manage", shares: "build", calendars: "build" };

const listOf = (action: Action) =>
  rolesThat(action)
    .map((role) => `'${role}'`)
    .join(", ");

/**
 * Returns SQL for whether the maker of a row still has the right that it needs. Every query of an invitation, a link or a
 * calendar has it, so that none outlives its maker's rights.
 * @param row the row's name in the statement
 */
export function standsSql(kind: "invites" | "shares" | "calendars", row: string): string {
  const by = kind === "invites" ? `${row}.by_operator OR ` : "";
  return `(${by}EXISTS (SELECT 1 FROM members maker WHERE maker.club_id = ${row}.club_id
    AND maker.user_id = ${row}.made_by AND maker.role IN (${listOf(SET_UP[kind] as Action)})))`;
}

/**
 * Withdraws what somebody set up and may no longer set up, so that it does not come back with a later promotion. Call it after
 * their role changed or they left.
 */
export async function endRights(
  { sequelize }: Database,
  clubId: string,
  userId: string,
  transaction: Transaction,
): Promise<void> {
  for (const kind of ["invites", "shares", "calendars"] as const) {
    await sequelize.query(
      `UPDATE ${kind} x SET withdrawn_at = now()
        WHERE x.club_id = $1 AND x.made_by = $2 AND x.withdrawn_at IS NULL AND NOT ${standsSql(kind, "x")}`,
      { bind: [clubId, userId], transaction },
    );
  }
}
