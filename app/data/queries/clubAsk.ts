import { useCallback } from "react";
import type { z } from "zod";
import { useMembership } from "~/data/account/account";
import { ask } from "~/data/client/api";

/** Asks the server about the club one acts in. Every such question is scoped to it by its address. */
export function useClubAsk() {
  const { id } = useMembership();
  return useCallback(
    <S extends z.ZodType>(
      schema: S,
      method: "GET" | "POST" | "PUT" | "DELETE",
      path: string,
      body?: unknown,
      patience?: number,
    ) => ask(schema, method, `/clubs/${id}${path}`, body, patience),
    [id],
  );
}

/** Asks the server about the club that is open. */
export type ClubAsk = ReturnType<typeof useClubAsk>;
