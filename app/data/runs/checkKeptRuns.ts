import { runEventSchema, runSchema } from "@tonodrome/core/api";
import { z } from "zod";
import { runStore } from "./store";

const runWithoutEvents = runSchema.omit({ events: true });
const eventsSchema = z.array(runEventSchema);

/**
 * Looks at every run that this device kept as closely as at what comes from the server: one that an earlier version of the
 * application kept has by then what was added since, and one that cannot be run is left where it is and not shown. Once,
 * before a run is shown.
 */
export function checkKeptRuns(): void {
  const runs = [...runStore.getState().runs].flatMap(([id, kept]) => {
    const run = runWithoutEvents.safeParse(kept.run).data;
    const events = eventsSchema.safeParse(kept.events).data;
    const setAside = eventsSchema.safeParse(kept.setAside).data;
    return run && events && setAside ? [[id, { ...kept, run, events, setAside }] as const] : [];
  });
  runStore.setState({ runs: new Map(runs) });
}
