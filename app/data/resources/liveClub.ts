import { useQueryClient } from "@tanstack/react-query";
import { useEffect } from "react";
import { useMembership } from "~/data/account/useAccount";
import { followClub } from "~/data/live/followClub";

/** Reads again whatever others change in the club, as they change it. */
export function useLiveClub(): void {
  const client = useQueryClient();
  const { id } = useMembership();
  useEffect(() => followClub(client, id), [client, id]);
}
