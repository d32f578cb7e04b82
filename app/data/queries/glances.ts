import { type QueryClient, skipToken, useQuery } from "@tanstack/react-query";
import type { Glance } from "@tonodrome/core/judge";

/** How a start stands, as the device keeps it. */
export interface KeptGlance {
  /** Of which reading of the start it is. */
  stamp: string;
  /** All that it was reckoned for; missing from one that the server told in passing. */
  of?: string;
  glance: Glance;
}

const keyOf = (startId: string) => ["glance", startId];

/** What is known of how a start stands. */
export const useKeptGlance = (startId: string): KeptGlance | undefined =>
  useQuery<KeptGlance>({ queryKey: keyOf(startId), queryFn: skipToken }).data;

/** Keeps how a start stands; what was told in passing does not replace what was reckoned for the same. */
export function putGlance(client: QueryClient, startId: string, found: KeptGlance): void {
  client.setQueryData<KeptGlance>(keyOf(startId), (kept) =>
    kept?.stamp === found.stamp && found.of === undefined ? kept : found,
  );
}
