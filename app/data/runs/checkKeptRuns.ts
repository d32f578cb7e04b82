import { tolerant } from "@tonodrome/core";
import { runEventSchema, runSchema } from "@tonodrome/core/api";
import { z } from "zod";
import { everyRun, hide } from "./store";

const runWithoutEvents = tolerant(runSchema.omit({ events: true }));
const eventsSchema = tolerant(z.array(runEventSchema));

/**
 * Checks every stored run as strictly as an answer of the server. A run that cannot be replayed stays stored and is not shown.
 * Does so once, before a run is shown.
 */
export function checkKeptRuns(): void {
  for (const { run, events, setAside } of everyRun()) {
    const isGood =
      runWithoutEvents.safeParse(run).success &&
      eventsSchema.safeParse(events).success &&
      eventsSchema.safeParse(setAside).success;
    if (!isGood) hide(run.id);
  }
}
