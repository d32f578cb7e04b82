import { nameSchema, usualSetting, wallClock, zonedInstant } from "@tonodrome/core";
import type { StartInput } from "@tonodrome/core/api";
import { z } from "zod";

/** The time before a first start that is proposed, and the time available for its warm-up at most, minutes. Custom. */
const AHEAD = 60;
const AVAILABLE = 45;

/** What is asked of somebody whose club is new. */
export const firstFormSchema = z.object({
  /** Keys of starter shelves; none for General preparation alone. */
  sports: z.array(z.string()),
  athlete: nameSchema,
  date: z.iso.date({ error: "Give the day." }),
  time: z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, { error: "Give the time, like 14:30." }),
});

/** What is asked of somebody whose club is new. */
export type FirstForm = z.infer<typeof firstFormSchema>;

/** An hour from now, on a round five minutes, on the clock of the device. @param now milliseconds since the epoch */
export function firstFormAt(now: number, zone: string): FirstForm {
  const soon = Math.ceil((now + AHEAD * 60_000) / 300_000) * 300_000;
  return { sports: [], athlete: "", ...wallClock(new Date(soon).toISOString(), zone) };
}

/**
 * The start that it describes: as much time as there is until then, up to three quarters of an hour.
 * @param now milliseconds since the epoch
 * @returns null where that time has passed or does not exist
 */
export function firstStartOf(
  { date, time }: FirstForm,
  {
    athleteId,
    event,
    zone,
    now,
  }: { athleteId: string; event: { id: string; name: string } | null; zone: string; now: number },
): StartInput | null {
  const moment = zonedInstant(date, time, zone);
  const at = Date.parse(moment.instant);
  if (moment.kind === "never" || at <= now) return null;
  // Whole minutes: the time available is told in them.
  const available = Math.min(AVAILABLE, Math.floor((at - now) / 60_000));
  return {
    athleteId,
    title: event?.name ?? "First start",
    venue: "",
    zone,
    startsAt: moment.instant,
    readyAt: new Date(at - available * 60_000).toISOString(),
    eventId: event?.id ?? null,
    setting: usualSetting(),
  };
}
