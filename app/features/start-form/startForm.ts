import { isTimeZone, nameSchema, noteSchema, zonedInstant } from "@tonodrome/core";
import type { StartInput } from "@tonodrome/core/api";
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
  })
  .superRefine((form, context) => {
    const fault = (path: string, message: string) =>
      context.addIssue({ code: "custom", path: [path], message });
    if (form.athleteId === "" && form.newAthlete === "")
      fault("newAthlete", "Choose an athlete, or give a new one's name.");
    const { kind } = zonedInstant(form.date, form.time, form.zone);
    if (kind === "never") {
      fault(
        "time",
        `${form.time} does not exist that night: the clocks go forward over it. Give a time before or after.`,
      );
    }
  });

export type StartForm = z.infer<typeof startFormSchema>;

/**
 * What there is to say about the time before it is sent: it has passed (which stops it) or comes twice (which does not).
 * @param now milliseconds since the epoch
 */
export function timeNews(
  form: Pick<StartForm, "date" | "time" | "zone">,
  now: number,
): { past: boolean; hint: string | null } {
  try {
    const { instant, kind } = zonedInstant(form.date, form.time, form.zone);
    return {
      past: Date.parse(instant) <= now,
      hint:
        kind === "twice"
          ? `${form.time} comes twice that night, as the clocks go back. This is the first of the two.`
          : null,
    };
  } catch {
    return { past: false, hint: null };
  }
}

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
  };
}
