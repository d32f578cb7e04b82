import { useMutation } from "@tanstack/react-query";
import type { StarterInstall } from "@tonodrome/core/api";
import { useClubAsk } from "~/data/queries/useClubAsk";
import { useClubList, useReread } from "~/data/resources/resource";

/** Longest wait for a whole starter shelf to be put up, milliseconds. */
const INSTALL_PATIENCE = 30_000;

/** Starter shelves, and how much of each the club's shelf has. */
export const useStarters = () => useClubList("starterList", "/starters", "starters");

/** Puts a starter shelf's drills onto the club's shelf, leaving alone what is there. */
export function useInstallStarter() {
  const ask = useClubAsk();
  const reread = useReread("drills", "events", "starters");
  return useMutation({
    mutationFn: (wanted: StarterInstall) =>
      ask("starterInstalled", "POST", "/starters", wanted, { patience: INSTALL_PATIENCE }),
    onSuccess: reread,
  });
}
