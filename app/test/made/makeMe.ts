import type { Me, Role } from "@tonodrome/core/api";

export const CLUB = "55555555-5555-4555-8555-555555555555";

/** Somebody who belongs to one club. */
export function makeMe(role: Role = "owner", clubId = CLUB): Me {
  return {
    id: "66666666-6666-4666-8666-666666666666",
    name: "Ada",
    email: "ada@example.org",
    demo: false,
    clubs: [{ id: clubId, name: "Hall club", demo: false, role, athleteId: null }],
  };
}
