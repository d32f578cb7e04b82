import { nameSchema, zonedInstant } from "@tonodrome/core";
import { type StartInput, USUAL_AVAILABLE_MINUTES } from "@tonodrome/core/api";
import { z } from "zod";
import { soonAt, startFormSchema, startInputOf } from "~/features/starts/form/startForm";

/** What is asked of somebody whose club is new. */
export const firstFormSchema = z.object({
  /** Keys of starter shelves; none for General preparation alone. */
  sports: z.array(z.string()),
  athlete: nameSchema,
  date: startFormSchema.shape.date,
  time: startFormSchema.shape.time,
});

/** What is asked of somebody whose club is new. */
export type FirstForm = z.infer<typeof firstFormSchema>;

/** An hour from now on the clock of the device, nothing chosen. @param now milliseconds since the epoch */
export const firstFormAt = (now: number, zone: string): FirstForm => ({
  sports: [],
  athlete: "",
  ...soonAt(now, zone),
});

/** Whom the first start is for, and in what. */
interface FirstStartFor {
  athleteId: string;
  event: { id: string; name: string } | null;
  zone: string;
  /** Milliseconds since the epoch. */
  now: number;
}

/** The start that it describes: as much time as usual before it, or the whole minutes that there are. */
export function firstStartOf(
  { date, time }: FirstForm,
  { athleteId, event, zone, now }: FirstStartFor,
): StartInput {
  const left = Math.floor((Date.parse(zonedInstant(date, time, zone).instant) - now) / 60_000);
  return startInputOf(
    {
      ...{ athleteId, newAthlete: "", venue: "", zone, date, time },
      title: event?.name ?? "First start",
      eventId: event?.id ?? "",
      minutes: Math.max(0, Math.min(USUAL_AVAILABLE_MINUTES, left)),
    },
    athleteId,
  );
}
