import { type EventType, plainEvent } from "../event/eventType";
import type { Fit } from "../fit/fit";
import { partsOf } from "../forecast/piecesOf";
import { cutText } from "../words/cutText";
import { LONGEST_NAME } from "../words/text";
import { type DoneBefore, remembered } from "./doneBefore";

/** A start earlier on the day. */
export interface EarlierStart {
  title: string;
  /** Its warm-up as it fits. */
  fit: Fit;
  /** What it asked; null where nobody has said: then as much as most events ask. */
  event: Pick<EventType, "lengthSeconds" | "targetLevel" | "actions"> | null;
  /** Seconds from it to the later start. */
  agoSeconds: number;
}

/** What some earlier starts had the body do, their warm-ups and the events themselves. */
export function doneIn(starts: readonly EarlierStart[]): DoneBefore[] {
  return remembered(starts.flatMap((start) => [...ofWarmUp(start), ...ofEvent(start)]));
}

function ofWarmUp({ fit, agoSeconds }: EarlierStart): DoneBefore[] {
  return partsOf(fit).flatMap(({ item, name, fromSeconds, toSeconds, effort, share }) =>
    item && effort > 0 && toSeconds > fromSeconds
      ? [
          {
            name: cutText(name, LONGEST_NAME),
            fromSeconds: fromSeconds - agoSeconds,
            toSeconds: toSeconds - agoSeconds,
            effort: Math.round(100 * effort),
            share,
            actions: item.details?.actions ?? [],
          },
        ]
      : [],
  );
}

function ofEvent({ title, event, agoSeconds }: EarlierStart): DoneBefore[] {
  const { lengthSeconds, targetLevel, actions } = event ?? plainEvent(title);
  const toSeconds = Math.min(0, lengthSeconds - agoSeconds);
  if (toSeconds <= -agoSeconds) return [];
  return [{ name: title, fromSeconds: -agoSeconds, toSeconds, effort: targetLevel, share: 1, actions }];
}
