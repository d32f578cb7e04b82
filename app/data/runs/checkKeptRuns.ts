import { tolerant } from "@tonodrome/core";
import { runEventSchema, runSchema } from "@tonodrome/core/api";
import { z } from "zod";
import { everyRun, hide } from "./store";

const runWithoutEvents = tolerant(runSchema.omit({ events: true }));
const eventsSchema = tolerant(z.array(runEventSchema));

/**
 * Looks at every run that this device kept as closely as at what comes from the server: one that cannot be run is left where it
 * is and not shown. Once, before a run is shown.
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
