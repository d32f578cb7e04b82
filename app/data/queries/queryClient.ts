import { QueryClient } from "@tanstack/query-core";
import { ApiFailure } from "~/data/client/api";

/** The one cache of what the server said. A refusal is final; only an unreachable server is asked again. */
export function makeQueryClient(): QueryClient {
  return new QueryClient({
    defaultOptions: {
      queries: {
        staleTime: 5_000,
        retry: (count, error) => count < 2 && error instanceof ApiFailure && error.code === "unreachable",
        networkMode: "always",
      },
      mutations: { networkMode: "always" },
    },
  });
}
