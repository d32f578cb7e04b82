import { useMemo } from "react";
import { useMembership } from "~/data/account/useAccount";
import { type ClubAsk, clubAsk } from "./clubAsk";

/** Asks the server about the club one acts in. */
export function useClubAsk(): ClubAsk {
  const { id } = useMembership();
  return useMemo(() => clubAsk(id), [id]);
}
