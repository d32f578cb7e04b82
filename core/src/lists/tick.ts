import { z } from "zod";
import { KIT_STEP, stepIdSchema } from "../day/step";
import { instantSchema } from "../time/instant";
import { wordKey } from "../words/sameWord";
import { tagSchema } from "../words/text";

/** A line of a day's list ticked off, or no more: what is packed, what is there. */
export const tickSchema = z.strictObject({
  /** The step whose list it is of, */
  step: stepIdSchema,
  /** and the line, by its words. */
  line: tagSchema,
  isOn: z.boolean(),
  /** When it was pressed, */
  at: instantSchema,
  /** and on which device. */
  by: z.uuid({ error: "Give the device's id, a UUID." }).toLowerCase(),
});
export type Tick = z.infer<typeof tickSchema>;

/** Which line of which list a tick is of. */
export const lineKey = ({ step, line }: Pick<Tick, "step" | "line">): string => `${step}\n${line}`;

/**
 * Whether a tick counts, not the other one of the same line: the one pressed later; of two pressed at the same moment that
 * of the device whose id is higher, and of one device the one that ticks off.
 */
export function isLater(a: Tick, b: Tick): boolean {
  const [at, other] = [Date.parse(a.at), Date.parse(b.at)];
  if (at !== other) return at > other;
  return a.by === b.by ? a.isOn && !b.isOn : a.by > b.by;
}

/**
 * Ticks of several devices put together: of each line the one that counts. In whatever order and however often they come,
 * it is the same.
 * @returns one tick a line, by step and line
 */
export function mergeTicks(...lists: readonly (readonly Tick[])[]): Tick[] {
  const newest = new Map<string, Tick>();
  for (const tick of lists.flat()) {
    const known = newest.get(lineKey(tick));
    if (!known || isLater(tick, known)) newest.set(lineKey(tick), tick);
  }
  return [...newest].sort(([a], [b]) => (a < b ? -1 : 1)).map(([, tick]) => tick);
}

/**
 * Which of the kit is there: by what was ticked on arrival; of what nobody pressed, by what the start itself says.
 * @param kit the event's pieces
 * @param before pieces that the start has as checked
 */
export function kitThere(
  kit: readonly string[],
  before: readonly string[],
  ticks: readonly Tick[],
): string[] {
  const pressed = new Map(
    mergeTicks(ticks).flatMap((t) => (t.step === KIT_STEP ? [[wordKey(t.line), t.isOn] as const] : [])),
  );
  const known = new Set(before.map(wordKey));
  return kit.filter((piece) => pressed.get(wordKey(piece)) ?? known.has(wordKey(piece)));
}

/** How a list stands: its lines, and which of them are ticked off. */
export interface ListStand {
  step: string;
  name: string;
  lines: { line: string; isOn: boolean }[];
}

/** How the lists of a day stand by what was ticked off; steps without a list are left out. */
export function listStands(
  steps: readonly { id: string; name: string; list: readonly string[] }[],
  ticks: readonly Tick[],
): ListStand[] {
  const on = new Set(mergeTicks(ticks).flatMap((t) => (t.isOn ? [lineKey(t)] : [])));
  return steps
    .filter(({ list }) => list.length > 0)
    .map(({ id, name, list }) => ({
      step: id,
      name,
      lines: list.map((line) => ({ line, isOn: on.has(lineKey({ step: id, line })) })),
    }));
}
