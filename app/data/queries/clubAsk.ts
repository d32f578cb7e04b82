import { useCallback } from "react";
import { useMembership } from "~/data/account/account";
import type { AnswerName } from "~/data/client/answers";
import { type Asking, ask } from "~/data/client/api";

/** Asks the server about the club one acts in. Every such question is scoped to it by its address. */
export function useClubAsk() {
  const { id } = useMembership();
  return useCallback(
    <Name extends AnswerName>(
      name: Name,
      method: "GET" | "POST" | "PUT" | "DELETE",
      path: string,
      body?: unknown,
      how?: Asking,
    ) => ask(name, method, `/clubs/${id}${path}`, body, how),
    [id],
  );
}

/** Asks the server about the club that is open. */
export type ClubAsk = ReturnType<typeof useClubAsk>;
