import { mergeTicks, type Tick, tickSchema } from "@tonodrome/core/lists";
import { v4 as uuid } from "uuid";
import { z } from "zod";
import { createStore } from "zustand/vanilla";
import { ApiFailure, ask, askTime } from "~/data/client/api";
import { timeNow } from "~/data/client/clock";
import { keep, keptKeys, readKept } from "~/data/device/storage";
import { makeOutbox } from "~/data/outbox/outbox";
import { LINK_HOLDER, ownerNow } from "~/data/outbox/owner";
import { TICKS as PREFIX } from "~/early/keptKeys";

/*
 * Lists are ticked off beside a bag, with or without a network: a press counts on this device at once, is kept on it, and is
 * sent until the server has it.
 */

const DEVICE = "device";

/** How long after no answer it is tried again, milliseconds. */
const RETRY = 8_000;
/** Ticks in one request, as the server takes them. */
const TICKS_AT_A_TIME = 200;

const keptSchema = z.array(tickSchema);
const NONE: readonly Tick[] = [];

/** What the server said last when ticks were sent, by where: in sight until it is read anew. */
export const answeredTicks = createStore<ReadonlyMap<string, readonly Tick[]>>(() => new Map());

/** This device's name among those that tick; made once. */
function deviceId(): string {
  const known = readKept(DEVICE, (kept) => z.uuid().safeParse(kept).data);
  const id = known ?? uuid();
  if (!known) keep(DEVICE, id);
  return id;
}

/** Ticks that were stamped anew because the server found them early: each once. */
const stampedAnew = new Set<string>();
const markOf = ({ step, line, at }: Tick) => `${step}\n${line}\n${at}`;
const without = (all: readonly Tick[], some: readonly Tick[]) => {
  const gone = new Set(some.map(markOf));
  return all.filter((tick) => !gone.has(markOf(tick)));
};

/** What is ticked at a path: as it was read, as the server answered last, and as it was pressed here. */
export const shownTicks = (path: string, read: readonly Tick[]): readonly Tick[] =>
  mergeTicks(read, answeredTicks.getState().get(path) ?? NONE, tickBox.get(path) ?? NONE);

/** Sends what a device has of one start's lists. @param path where they are sent: what they are kept under says it */
async function send(all: readonly Tick[], path: string): Promise<void> {
  const sent = all.slice(0, TICKS_AT_A_TIME);
  try {
    const { ticks } = await ask("ticks", "POST", path, { ticks: sent });
    answeredTicks.setState(new Map(answeredTicks.getState()).set(path, ticks), true);
    tickBox.change(path, (now) => left(without(now ?? NONE, sent)), { quietly: true });
  } catch (error) {
    if (!(error instanceof ApiFailure) || error.code !== "invalid_input") throw error;
    const index = /^ticks\.(\d+)\./.exec(error.path ?? "")?.[1];
    const refused = index === undefined ? undefined : sent[Number(index)];
    if (!refused) throw error;
    // One that was stamped by a fast clock is stamped by the right one, once; what is in no list any more is set aside: neither
    // keeps the others from being sent.
    const isEarly = error.path?.endsWith(".at") && !stampedAnew.has(`${refused.step}\n${refused.line}`);
    if (isEarly) {
      stampedAnew.add(`${refused.step}\n${refused.line}`);
      await askTime();
    }
    const anew = isEarly ? [{ ...refused, at: new Date(timeNow()).toISOString() }] : [];
    tickBox.change(path, (now) => left([...without(now ?? NONE, [refused]), ...anew]), { quietly: true });
  }
}

/** What is left to send; nothing is kept of nothing. */
const left = (ticks: readonly Tick[]) => (ticks.length > 0 ? ticks : null);

/** Whether a path is that of a link, whose holder has no account. */
const isLink = (path: string) => path.startsWith("/shared/");

/** What this device has ticked and the server has not, by where it is sent. */
export const tickBox = makeOutbox<readonly Tick[]>({
  prefix: PREFIX,
  read: (kept) => keptSchema.safeParse(kept).data ?? null,
  merge: (here, there) => mergeTicks(here, there),
  isUnsent: (ticks) => ticks.length > 0,
  clubOf: (_, path) => /^\/clubs\/([^/]+)\//.exec(path)?.[1] ?? null,
  ownerOf: (path) => (isLink(path) ? LINK_HOLDER : (ownerNow() ?? LINK_HOLDER)),
  send,
  pause: 0,
  retry: RETRY,
  isTimed: false,
  restamp: (ticks, by) =>
    ticks.map((tick) => ({ ...tick, at: new Date(Date.parse(tick.at) + by).toISOString() })),
  words: (count) => (count === 1 ? "1 list" : `${count} lists`),
});

/** Sends whatever this device has ticked and the server has not, also of lists that nobody has open. */
export const sendTicks = (): void => void tickBox.sendAll();

/** How many lists have ticks that only this device knows. */
export const unsentLists = (): number => keptKeys(PREFIX).length;

/** Ticks a line off, or no more. @param known what is ticked, as far as it was read */
export function tick(
  path: string,
  { step, line }: Pick<Tick, "step" | "line">,
  isOn: boolean,
  known: readonly Tick[],
): void {
  const before = mergeTicks(known, tickBox.get(path) ?? NONE).find((t) => t.step === step && t.line === line);
  // A clock that runs behind another's does not make a press count for nothing.
  const at = Math.max(timeNow(), before ? Date.parse(before.at) + 1 : 0);
  const pressed = { step, line, isOn, at: new Date(at).toISOString(), by: deviceId() };
  tickBox.change(path, (now) => mergeTicks(now ?? NONE, [pressed]));
}
