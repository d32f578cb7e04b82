import { useRun } from "~/data/resources/log";
import { useKeptRun } from "~/data/runs/useRuns";
import type { Logged } from "./RunRecord";

/** A run of the log. What this device has is the newest there is; without it the server is asked. */
export function useLoggedRun(id: string) {
  const kept = useKeptRun(id);
  const query = useRun(id, kept === null);
  const run: Logged | null = kept ? { ...kept.run, events: kept.events } : (query.data ?? null);
  return { run, sent: kept === null || kept.recorded.length >= kept.events.length, query };
}
