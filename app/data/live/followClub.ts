import type { QueryClient } from "@tanstack/query-core";
import { refreshMe } from "~/data/account/account";
import { followChanges } from "~/data/client/changes";
import { type ClubAsk, clubAsk } from "~/data/queries/clubAsk";
import { KEYS } from "~/data/queries/keys";
import { knowsPresses } from "~/data/runs/sendPressed";
import { whenMoved } from "~/data/starts/moves";
import { putStart } from "~/data/starts/startCache";

/** Reads again whatever others change in a club, as they change it, and shows what came of moves. @returns what ends it */
export function followClub(client: QueryClient, clubId: string): () => void {
  const ask = clubAsk(clubId);
  const endMoves = whenMoved((start) => putStart(client, start));
  const endChanges = followChanges(
    `/clubs/${clubId}/changes`,
    (change) => {
      const { topic, id, presses } = change;
      if (topic === "starts" && id) void rereadStart(client, ask, id);
      // Each press tells of its run; of the log it is told when that reads differently. What was pressed here is known here.
      else if (topic === "runs" && id) {
        const refetchType = presses && knowsPresses(id, presses) ? "none" : "active";
        for (const key of ["run", "run-news"])
          void client.invalidateQueries({ queryKey: [key, id], refetchType });
      } else for (const key of KEYS[topic]) void client.invalidateQueries({ queryKey: [key] });
      if (topic === "club") void refreshMe();
    },
    () => {
      void client.invalidateQueries();
      void refreshMe();
    },
  );
  return () => {
    endMoves();
    endChanges();
  };
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
