import { useMutation, useQuery } from "@tanstack/react-query";
import { hashOf } from "@tonodrome/core";
import type { ShelfTableInput } from "@tonodrome/core/api";
import { useMemo } from "react";
import { useClubAsk } from "~/data/queries/useClubAsk";
import { useReread } from "~/data/resources/resource";

const PATH = "/tables/shelf";

/** Two thousand drills take the server a moment, milliseconds. */
const PATIENT = { patience: 30_000 };

/** What would become of each drill of a table. */
export function useComparedShelf(drills: ShelfTableInput["drills"]) {
  const ask = useClubAsk();
  const mark = useMemo(() => hashOf(JSON.stringify(drills)), [drills]);
  return useQuery({
    queryKey: ["shelf-table", mark],
    queryFn: () => ask("shelfTableNews", "POST", PATH, { drills, agreed: null }, PATIENT),
    // It is of now: another look at it is another question.
    staleTime: 0,
    gcTime: 0,
  });
}

/** Takes a table as it was compared. */
export function useTakeShelf() {
  const ask = useClubAsk();
  const reread = useReread("drills", "starters", "shelf-table");
  return useMutation({
    mutationFn: (input: ShelfTableInput) => ask("shelfTableNews", "POST", PATH, input, PATIENT),
    onSettled: reread,
  });
}
