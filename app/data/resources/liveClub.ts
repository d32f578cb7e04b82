import { type QueryClient, useQueryClient } from "@tanstack/react-query";
import { refreshMe, useMembership } from "~/data/account/account";
import { useChanges } from "~/data/client/changes";
import { type ClubAsk, useClubAsk } from "~/data/queries/clubAsk";
import { KEYS } from "~/data/queries/keys";
import { knowsPresses } from "~/data/runs/send";
import { putStart } from "./starts";

/** Reads again whatever others change in the club, as they change it. */
export function useLiveClub(): void {
  const client = useQueryClient();
  const ask = useClubAsk();
  const { id } = useMembership();
  useChanges(
    `/clubs/${id}/changes`,
    (change) => {
      const { topic } = change;
      if (topic === "starts" && change.id) void rereadStart(client, ask, change.id);
      // Each press tells of its run; of the log it is told when that reads differently. What was pressed here is known here.
      else if (topic === "runs" && change.id) {
        const refetchType = change.presses && knowsPresses(change.id, change.presses) ? "none" : "active";
        void client.invalidateQueries({ queryKey: ["run", change.id], refetchType });
      } else for (const key of KEYS[topic]) void client.invalidateQueries({ queryKey: [key] });
      if (topic === "club") void refreshMe();
    },
    () => {
      void client.invalidateQueries();
      void refreshMe();
    },
  );
}

/** One start changed: it alone is read again, and stands anew wherever it is shown. */
async function rereadStart(client: QueryClient, ask: ClubAsk, id: string): Promise<void> {
  for (const queryKey of [["edits"], ["before"], ["day", id], ["open-lists"]])
    void client.invalidateQueries({ queryKey });
  try {
    putStart(client, await ask("start", "GET", `/starts/${id}`, undefined, { atSight: true }));
  } catch {
    // Deleted, or not reached just now: whoever shows it asks for itself.
    for (const queryKey of [["starts"], ["start", id]]) void client.invalidateQueries({ queryKey });
  }
}
