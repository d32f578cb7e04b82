import type { RunEvent } from "@tonodrome/core";
import { ApiFailure, ask, askTime, bodyOf } from "~/data/client/api";
import { moves } from "~/data/starts/moves";
import type { KeptRun } from "./keptRun";
import { noLaterThanNow } from "./stamps";
import { get, put, sendBy } from "./store";

/** Refusals of a run that sending it again does not change. */
const FINAL: ReadonlySet<string> = new Set(["not_found", "invalid_input", "full"]);

/** Presses sent in one request. */
const PRESSES_AT_A_TIME = 200;

/** Presses that were sent and not answered: the server may have them as they were sent. */
const unsure = new Set<string>();

/** Presses that got another time because the server found theirs in the future. */
const stampedAnew = new Set<string>();

/** Sends a run and its presses. @throws ApiFailure where another try is worth it */
export async function sendPressed(id: string): Promise<void> {
  const before = get(id);
  if (!before) return;
  const base = `/clubs/${before.clubId}/runs`;
  try {
    if (!before.created) {
      const { startId, plan } = before.run;
      // A move that was made here is sent before the run that goes by it.
      if (startId && moves.get(startId)) await moves.sendNow(startId);
      await ask("run", "POST", base, await bodyOf("runInput", { id, startId, plan }));
      put({ ...(get(id) as KeptRun), created: true }, { quietly: true });
    }
    const { events, recorded } = get(id) as KeptRun;
    const known = new Set(recorded);
    const unsent = events.filter((e) => !known.has(e.id)).slice(0, PRESSES_AT_A_TIME);
    if (unsent.length > 0) await sendPresses(id, base, unsent);
  } catch (error) {
    if (!(error instanceof ApiFailure) || !FINAL.has(error.code)) throw error;
    // It stays on this device; sending it again is of no use.
    put({ ...(get(id) as KeptRun), refused: error.message }, { quietly: true });
  }
}

sendBy(sendPressed);

/** Returns whether some presses of a run are here as the server has them. */
export function knowsPresses(id: string, presses: readonly string[]): boolean {
  const events = get(id)?.events ?? [];
  return presses.every((press) => !unsure.has(press) && events.some((e) => e.id === press));
}

/** Sends presses of a run. One that is refused is set aside, and the others go on. */
async function sendPresses(id: string, base: string, unsent: readonly RunEvent[]): Promise<void> {
  try {
    const answer = await ask("runEventsAnswer", "POST", `${base}/${id}/events`, { events: unsent });
    const now = get(id) as KeptRun;
    // As they were sent: the clock may have been corrected meanwhile.
    const sent = new Map(unsent.map((e) => [e.id, e]));
    const asSent = now.events.map((e) => sent.get(e.id) ?? e);
    const isCorrected = asSent.some((e, i) => e !== now.events[i]);
    const recorded = [...new Set([...now.recorded, ...answer.recorded])];
    put({ ...now, events: isCorrected ? asSent : now.events, recorded }, { quietly: true });
  } catch (error) {
    const refused = error instanceof ApiFailure ? refusedOf(error, unsent) : [];
    if (refused.length === 0) {
      for (const { id: press } of unsent) unsure.add(press);
      throw error;
    }
    const isEarly = error instanceof ApiFailure && error.path?.endsWith(".at");
    const [first] = refused;
    if (isEarly && first && !stampedAnew.has(first.id)) {
      // It was pressed by a wrong clock: it gets the right time, once.
      stampedAnew.add(first.id);
      await askTime();
      const now = get(id) as KeptRun;
      put({ ...now, ...noLaterThanNow(now) }, { quietly: true });
      return;
    }
    const now = get(id) as KeptRun;
    put({ ...now, setAside: [...now.setAside, ...refused] }, { quietly: true });
  }
}

/** Returns the presses that a refusal is about: the one it names, or all where the run is full. */
function refusedOf({ code, path }: ApiFailure, unsent: readonly RunEvent[]): readonly RunEvent[] {
  if (code === "full") return unsent;
  const index = code === "invalid_input" ? /^events\.(\d+)(\.|$)/.exec(path ?? "")?.[1] : undefined;
  return index === undefined ? [] : unsent.slice(Number(index), Number(index) + 1);
}
