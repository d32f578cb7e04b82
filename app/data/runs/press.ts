import type { RunEvent, RunPlan } from "@tonodrome/core";
import type { Run, Start } from "@tonodrome/core/api";
import { v4 as uuid } from "uuid";
import { currentAccount, currentMembership } from "~/data/account/account";
import { timeNow } from "~/data/client/clock";
import { lastOf } from "./stamps";
import { get, put } from "./store";

/** Makes a run on this device; it is sent as soon as the server can be reached. */
export function createRun(start: Start, plan: RunPlan): string {
  const id = uuid();
  const { title, venue, zone, startsAt } = start;
  put({
    clubId: currentMembership().id,
    athleteId: start.athlete.id,
    begunHere: true,
    run: { id, startId: start.id, athleteName: start.athlete.name, title, venue, zone, startsAt, plan },
    events: [],
    created: false,
    recorded: [],
    refused: null,
    setAside: [],
    took: [],
  });
  return id;
}

/**
 * Stores a run of the server on this device; of a run that is here already, the presses of other phones.
 */
export function adoptRun({ events, ...run }: Run): void {
  if (get(run.id)) {
    adoptPresses(run.id, events);
    return;
  }
  put(
    {
      clubId: currentMembership().id,
      begunHere: false,
      run,
      events,
      created: true,
      recorded: events.map((e) => e.id),
      refused: null,
      setAside: [],
      took: [],
    },
    { quietly: true },
  );
}

/** Stores what the server has of a run that is here: presses of other phones, and its own as they were recorded. */
export function adoptPresses(id: string, events: readonly RunEvent[]): void {
  const kept = get(id);
  if (!kept || events.length === 0) return;
  // What the server recorded counts, also where its answer was lost and the clock was corrected since.
  const theirs = new Map(events.map((e) => [e.id, e]));
  const known = new Map(kept.events.map((e) => [e.id, e]));
  const recorded = new Set(kept.recorded);
  const news = events.filter((e) => !known.has(e.id));
  if (events.every((e) => recorded.has(e.id) && known.get(e.id)?.at === e.at)) return;
  put(
    {
      ...kept,
      created: true,
      events: [...kept.events.map((e) => theirs.get(e.id) ?? e), ...news],
      recorded: [...new Set([...kept.recorded, ...theirs.keys()])],
    },
    { quietly: true },
  );
}

/** A press without its id and time, which are added here. */
export type NewPress = RunEvent extends infer E ? (E extends RunEvent ? Omit<E, "id" | "at"> : never) : never;

/** Records a press: stored at once, sent when the server can be reached. */
export function pressRun(id: string, press: NewPress): void {
  const kept = get(id);
  if (!kept) return;
  // Never before a press that was seen: another phone's clock may be a little ahead.
  const at = Math.max(timeNow(), lastOf(kept.events) + 1);
  const event = { ...press, id: uuid(), at: new Date(at).toISOString() } as RunEvent;
  const took = event.kind === "take" ? [...kept.took, event.id] : kept.took;
  put({ ...kept, took, events: [...kept.events, event] });
}

/** Takes a run over from another device, which follows from then on. */
export function takeRun(id: string): void {
  const { me } = currentAccount();
  if (me) pressRun(id, { kind: "take", who: me.id });
}
