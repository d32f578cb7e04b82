import type { QueryClient } from "@tanstack/query-core";
import type { Glance } from "@tonodrome/core/judge";

/** How a start stands, as the device keeps it. */
export interface KeptGlance {
  /** Of which reading of the start it is. */
  stamp: string;
  /** All that it was computed for; missing from one that the server told in passing. */
  of?: string;
  glance: Glance;
}

/** What it is read under. */
export const glanceKey = (startId: string) => ["glance", startId];

/** Keeps how a start stands; what was told in passing does not replace what was computed for the same. */
export function putGlance(client: QueryClient, startId: string, found: KeptGlance): void {
  client.setQueryData<KeptGlance>(glanceKey(startId), (kept) =>
    kept?.stamp === found.stamp && found.of === undefined ? kept : found,
  );
}
