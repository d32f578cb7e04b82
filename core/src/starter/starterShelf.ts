import { z } from "zod";
import { doseSchema } from "../dose/dose";
import { type DrillDetails, drillDetailsSchema, drillDetailsShape, noDetails } from "../drill/details";
import { LINKS, linkFault } from "../drill/links";
import { eventTypeSchema } from "../event/eventType";
import { intensitySchema } from "../words/intensity";
import { phaseSchema } from "../words/phase";
import { prioritySchema } from "../words/priority";
import { nameSchema, noteSchema } from "../words/text";

/** What a drill or a shelf is called within the file: lower-case words joined by dashes. */
const keySchema = z
  .string()
  .max(100)
  .regex(/^[a-z0-9]+(-[a-z0-9]+)*$/, {
    error: "Give a key of lower-case letters, figures and dashes.",
  });

const linkKeySchema = keySchema.nullable().optional();

const starterDrillSchema = z.strictObject({
  key: keySchema,
  name: nameSchema,
  phase: phaseSchema,
  priority: prioritySchema,
  intensity: intensitySchema,
  dose: doseSchema,
  focus: noteSchema,
  place: noteSchema,
  /** What is not said is not known; links name other drills of the file by their keys. */
  details: z.strictObject({
    ...z.strictObject(drillDetailsShape).partial().shape,
    easier: linkKeySchema,
    harder: linkKeySchema,
    instead: linkKeySchema,
  }),
});

/** A shelf to begin with, as it stands in a file. */
export const starterShelfSchema = z
  .strictObject({
    format: z.literal("tonodrome-shelf", { error: "This is not a shelf's file." }),
    version: z.literal(1, { error: "This reads shelves of version 1." }),
    key: keySchema,
    name: nameSchema,
    about: noteSchema,
    /** What is started in, so that filling knows what it asks for. */
    events: z.array(eventTypeSchema).max(8).optional(),
    drills: z.array(starterDrillSchema).min(1, { error: "There is no drill in it." }).max(500),
  })
  .superRefine((shelf, context) => {
    const fault = (path: (string | number)[], message: string) =>
      context.addIssue({ code: "custom", path, message });
    const keys = new Set<string>();
    shelf.drills.forEach(({ key }, i) => {
      if (keys.has(key)) fault(["drills", i, "key"], "This key is in the file twice.");
      keys.add(key);
    });
    const linked = shelf.drills.map(({ key, name, details }) => ({
      id: key,
      name,
      details: linksOf(details),
    }));
    shelf.drills.forEach(({ details }, i) => {
      const checked = drillDetailsSchema.safeParse({ ...noDetails(), ...details, ...NO_LINKS });
      for (const issue of checked.error?.issues ?? [])
        fault(["drills", i, "details", ...(issue.path as (string | number)[])], issue.message);
      const wrong = linkFault(linked[i] as (typeof linked)[number], linked);
      if (wrong) fault(["drills", i, "details", ...wrong.path], wrong.message);
    });
  });

export type StarterShelf = z.infer<typeof starterShelfSchema>;
type StarterDrill = StarterShelf["drills"][number];

const NO_LINKS = { easier: null, harder: null, instead: null };

function linksOf(details: StarterDrill["details"]): Pick<DrillDetails, (typeof LINKS)[number]> {
  return {
    easier: details.easier ?? null,
    harder: details.harder ?? null,
    instead: details.instead ?? null,
  };
}

/**
 * The details of a drill of the file as the shelf has them.
 * @param idOf gives the id on the shelf for a key of the file
 */
export function detailsOf({ details }: StarterDrill, idOf: (key: string) => string): DrillDetails {
  const links = Object.fromEntries(LINKS.map((link) => [link, details[link] ? idOf(details[link]) : null]));
  return { ...noDetails(), ...details, ...links } as DrillDetails;
}
