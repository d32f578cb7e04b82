import type { RunEvent } from "@tonodrome/core";
import { currentAccount } from "~/data/account/account";
import { loadChecks } from "~/data/client/answers";
import { ApiFailure, ask, askTime } from "~/data/client/api";
import { isTimeKnown, timeNow } from "~/data/client/clock";
import { afterPaint } from "~/ui/afterPaint";
import { isUnderWay, isUnsent, type KeptRun } from "./keptRun";
import { stampNoLaterThanNow } from "./stamps";
import { drop, everyRun, get, put, runStore } from "./store";

/** Refusals that asking again does not change. */
const FINAL = new Set<string>(["not_found", "invalid_input", "forbidden"]);

const RETRY = 3_000;
/** What was pressed is sent at the latest after so long: a page that nobody looks at is not painted, milliseconds. */
const AT_LATEST = 250;
/** So long after the frame in which that is painted: it is on its way to the screen by then, milliseconds. */
const PAINTED = 20;

let sending = false;
let timer: ReturnType<typeof setTimeout> | undefined;

/** Sends what was just pressed, once what it did is painted. */
export function sendSoon(): void {
  clearTimeout(timer);
  timer = setTimeout(sendAll, AT_LATEST);
  afterPaint(sendAll, PAINTED);
}

/** Sends whatever the server does not have yet, and tries again later when it cannot be reached. */
export async function sendAll(): Promise<void> {
  if (sending) return;
  sending = true;
  clearTimeout(timer);
  try {
    if (!isTimeKnown() && everyRun().some((kept) => waiting(kept.run.id))) await askTime();
    for (const { run } of everyRun()) await sendRun(run.id);
    runStore.setState({ link: "reached" });
  } catch (error) {
    const isAway = error instanceof ApiFailure && error.code === "unreachable";
    runStore.setState({ link: isAway ? "unreachable" : "troubled" });
    timer = setTimeout(sendAll, RETRY);
  } finally {
    sending = false;
  }
  // Presses made while sending.
  if (runStore.getState().link === "reached" && everyRun().some((kept) => waiting(kept.run.id)))
    timer = setTimeout(sendAll, 0);
}

function waiting(id: string): boolean {
  const kept = get(id);
  return kept !== null && kept.refused === null && isUnsent(kept) && clubOf(kept) !== null;
}

/** The club to send a run to; null while nobody who belongs to it is signed in: then it waits. */
function clubOf(kept: KeptRun): string | null {
  const { me } = currentAccount();
  return me?.clubs.some((c) => c.id === kept.clubId) ? kept.clubId : null;
}

/** How many runs have presses that only this device knows. */
export function unsentRuns(): number {
  return everyRun().filter(isUnsent).length;
}

/** Frees this device of every run that the server has whole: what is left is only here. */
export function forgetSentRuns(): void {
  for (const kept of everyRun()) if (!isUnsent(kept)) drop(kept.run.id);
}

async function sendRun(id: string): Promise<void> {
  if (!waiting(id)) return forgetIfOver(id);
  try {
    const before = get(id) as KeptRun;
    const base = `/clubs/${clubOf(before)}/runs`;
    if (!before.created) {
      const { startId, plan } = before.run;
      await ask("run", "POST", base, (await loadChecks()).runInputSchema.parse({ id, startId, plan }));
      put({ ...(get(id) as KeptRun), created: true });
    }
    const { events, recorded } = get(id) as KeptRun;
    const known = new Set(recorded);
    const unsent = events.filter((e) => !known.has(e.id)).slice(0, TOGETHER);
    if (unsent.length === 0) return;
    await sendPresses(id, base, unsent);
  } catch (error) {
    const final = error instanceof ApiFailure && FINAL.has(error.code);
    if (!final) throw error;
    // It stays on this device, but asking again is pointless.
    put({ ...(get(id) as KeptRun), refused: error.message });
  }
}

/** Presses sent in one request. */
const TOGETHER = 200;

/** Presses that were sent and not answered: the server may have them as they were then. */
const unsure = new Set<string>();

/** Whether some presses of a run are here as the server has them. */
export function knowsPresses(id: string, presses: readonly string[]): boolean {
  const events = get(id)?.events ?? [];
  return presses.every((press) => !unsure.has(press) && events.some((e) => e.id === press));
}

/** Sends presses of a run. One that is refused is set aside, and the others go on. */
async function sendPresses(id: string, base: string, unsent: readonly RunEvent[]): Promise<void> {
  try {
    const answer = await ask("runEventsAnswer", "POST", `${base}/${id}/events`, { events: unsent });
    const now = get(id) as KeptRun;
    // As they were sent: their time may have been corrected meanwhile.
    const sent = new Map(unsent.map((e) => [e.id, e]));
    const asSent = now.events.map((e) => sent.get(e.id) ?? e);
    const isCorrected = asSent.some((e, i) => e !== now.events[i]);
    put({
      ...now,
      events: isCorrected ? asSent : now.events,
      recorded: [...now.recorded, ...answer.recorded],
    });
  } catch (error) {
    const refused = error instanceof ApiFailure ? refusedOf(error, unsent) : [];
    if (refused.length === 0) {
      for (const { id: press } of unsent) unsure.add(press);
      throw error;
    }
    const isEarly = error instanceof ApiFailure && error.path?.endsWith(".at");
    const [first] = refused;
    if (isEarly && first && !stampedAnew.has(first.id)) {
      // It was pressed, only by a wrong clock: it is stamped by the right one, once.
      stampedAnew.add(first.id);
      await askTime();
      stampNoLaterThanNow(id);
      return;
    }
    const now = get(id) as KeptRun;
    put({ ...now, setAside: [...now.setAside, ...refused] });
  }
}

/** Presses that were stamped anew because the server found them early. */
const stampedAnew = new Set<string>();

/** Which of the presses sent the server means by a refusal: the one it names, or, of a full run, all. */
function refusedOf({ code, path }: ApiFailure, unsent: readonly RunEvent[]): readonly RunEvent[] {
  if (code === "full") return unsent;
  const index = code === "invalid_input" ? /^events\.(\d+)(\.|$)/.exec(path ?? "")?.[1] : undefined;
  return index === undefined ? [] : unsent.slice(Number(index), Number(index) + 1);
}

/** A run that is over is kept here for so long after its last press, milliseconds. */
const KEPT_AFTER = 3_600_000;

/** Frees this device of a run that is over and that the server has whole. The log shows it from there. */
function forgetIfOver(id: string): void {
  const kept = get(id);
  if (!kept || isUnsent(kept) || isUnderWay(kept)) return;
  const last = kept.events.at(-1);
  if (last && timeNow() - Date.parse(last.at) >= KEPT_AFTER) drop(id);
}
