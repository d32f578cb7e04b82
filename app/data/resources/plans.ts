import { useMutation, useQueryClient } from "@tanstack/react-query";
import type { Plan, PlanWrite, Start } from "@tonodrome/core/api";
import { loadChecks } from "~/data/client/answers";
import { ApiFailure } from "~/data/client/api";
import { useClubAsk } from "~/data/queries/clubAsk";
import { putStart } from "./starts";

/** Saves the plan of a start. */
export function useSavePlan(startId: string) {
  const client = useQueryClient();
  const ask = useClubAsk();
  const keepPlan = (plan: Plan) => {
    const start = client.getQueryData<Start>(["start", startId]);
    if (start) putStart(client, { ...start, plan });
  };
  return useMutation({
    mutationFn: ({ planId, write }: { planId: string; write: PlanWrite }) =>
      ask("plan", "PUT", `/plans/${planId}`, write),
    onSuccess: keepPlan,
    onError: async (error) => {
      // Someone else was quicker: from now on theirs is what the server has.
      if (error instanceof ApiFailure && error.code === "version_conflict")
        keepPlan((await loadChecks()).planSchema.parse(error.current));
    },
  });
}
