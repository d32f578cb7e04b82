import {
  isTimeZone,
  nameSchema,
  noteSchema,
  usualSetting,
  wallClock,
  type ZonedInstant,
  zonedInstant,
} from "@tonodrome/core";
import { instantSchema, type StartInput } from "@tonodrome/core/api";
import { z } from "zod";

/** What is filled in to make a start: the venue's own date and clock, not instants. */
export const startFormSchema = z
  .object({
    athleteId: z.string(),
    /** Name of an athlete who is not in the club yet; counts when no other is chosen. */
    newAthlete: z.union([z.literal(""), nameSchema]),
    title: nameSchema,
    venue: noteSchema,
    zone: z.string().trim().refine(isTimeZone, {
      error: "This time zone is not known. Choose one from the list, like Europe/Vienna.",
    }),
    date: z.iso.date({ error: "Give the day." }),
    time: z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, { error: "Give the time, like 14:30." }),
    minutes: z.number().int().min(0).max(720),
    /** Which of the club's events it is; empty for none. */
    eventId: z.string(),
  })
  .superRefine((form, context) => {
    const fault = (path: string, message: string) =>
      context.addIssue({ code: "custom", path: [path], message });
    if (form.athleteId === "" && form.newAthlete === "")
      fault("newAthlete", "Choose an athlete, or give a new one's name.");
    if (read(form)?.kind === "never") {
      fault("time", neverWords(form.time));
    }
  });

/** What is asked of a new start. */
export type StartForm = z.infer<typeof startFormSchema>;

/**
 * What there is to say about the time before it is sent: it has passed (which stops it) or comes twice (which does not).
 * @param now milliseconds since the epoch
 */
export function timeNews(
  form: Pick<StartForm, "date" | "time" | "zone">,
  now: number,
): { past: boolean; hint: string | null } {
  const moment = read(form);
  return {
    past: moment !== null && Date.parse(moment.instant) <= now,
    hint:
      moment?.kind === "twice"
        ? `${form.time} comes twice that night, as the clocks go back. This is the first of the two.`
        : null,
  };
}

/** What keeps a time from being that of a start: it does not exist, or it has passed; null for a good one. */
export function timeFault(form: Pick<StartForm, "date" | "time" | "zone">, now: number): string | null {
  if (read(form)?.kind === "never") return neverWords(form.time);
  return timeNews(form, now).past ? "That time has passed at the venue. Give a later one." : null;
}

/** So long before a start that is made its time is proposed, minutes. Custom. */
const AHEAD = 60;

/** Day and time that are proposed for a start: an hour from now, on a round five minutes. @param now milliseconds since the epoch */
export function soonAt(now: number, zone: string): Pick<StartForm, "date" | "time"> {
  const soon = Math.ceil((now + AHEAD * 60_000) / 300_000) * 300_000;
  return wallClock(new Date(soon).toISOString(), zone);
}

/** The moment meant, or null while a part of it is missing or wrong (which its own field says). */
function read({ date, time, zone }: Pick<StartForm, "date" | "time" | "zone">): ZonedInstant | null {
  try {
    return zonedInstant(date, time, zone);
  } catch {
    return null;
  }
}

/**
 * When a start is, from the venue's own date and clock; the time available stays as it is, and the time on the list is that
 * one: what is late on the day is moved from Today.
 * @param at milliseconds since the epoch
 * @returns null, and what is wrong with it, where there is no such moment
 */
export function whenOf(
  typed: Pick<StartForm, "date" | "time" | "zone">,
  now: Pick<StartInput, "startsAt" | "readyAt">,
  at: number,
): { when: When | null; fault: string; hint: string | null } {
  const zone = typed.zone.trim();
  const moment = read({ ...typed, zone });
  const { past, hint: comesTwice } = timeNews({ ...typed, zone }, at);
  const hint = past ? "This time has passed." : comesTwice;
  if (moment?.kind === "never") return { when: null, fault: neverWords(typed.time), hint };
  // A year that is only half typed is a day too.
  if (moment === null || !instantSchema.safeParse(moment.instant).success)
    return { when: null, fault: "Give a day, a time and a zone that there are.", hint: null };
  const { instant: startsAt } = moment;
  const available = Date.parse(now.startsAt) - Date.parse(now.readyAt);
  const readyAt = new Date(Date.parse(startsAt) - available).toISOString();
  return { when: { startsAt, readyAt, listedAt: startsAt, zone }, fault: "", hint };
}

/** When a start is, and what goes with that. */
export type When = Pick<StartInput, "startsAt" | "readyAt" | "listedAt" | "zone">;

const neverWords = (time: string) =>
  `${time} does not exist that night: the clocks go forward over it. Give a time before or after.`;

/** The start that a filled-in form describes. */
export function startInputOf(form: StartForm, athleteId: string): StartInput {
  const { instant } = zonedInstant(form.date, form.time, form.zone);
  return {
    athleteId,
    title: form.title,
    venue: form.venue,
    zone: form.zone,
    startsAt: instant,
    readyAt: new Date(Date.parse(instant) - form.minutes * 60_000).toISOString(),
    eventId: form.eventId || null,
    setting: usualSetting(),
  };
}
