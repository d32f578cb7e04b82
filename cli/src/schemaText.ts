import { clubHeadSchema, clubRecordSchema } from "@tonodrome/core/api";
import { dayFileSchema } from "@tonodrome/core/day";
import { fitFileSchema } from "@tonodrome/core/fitting";
import { runFileSchema } from "@tonodrome/core/run-file";
import { z } from "zod";

/** The JSON Schemas of what the command line reads by their files' names, generated from what it is read with. */
export const SCHEMAS = {
  "fit.schema.json": { title: "A Tonodrome plan with its day, to be fitted", schema: fitFileSchema },
  "day.schema.json": { title: "A Tonodrome day, to be counted back from its start", schema: dayFileSchema },
  "run.schema.json": {
    title: "A Tonodrome run with every press of it",
    schema: runFileSchema,
    reused: "ref" as const,
  },
  "club.schema.json": {
    title: "A line of a Tonodrome club's export: the first is the head, the last the end",
    schema: z.union([clubHeadSchema, clubRecordSchema]),
    // A drill is in warm-ups, templates and earlier versions: once is enough.
    reused: "ref" as const,
  },
};

/** One of them as it is published. */
export function schemaText(name: keyof typeof SCHEMAS): string {
  const { title, schema, reused } = { reused: "inline" as const, ...SCHEMAS[name] };
  const text = z.toJSONSchema(schema, { io: "input", target: "draft-2020-12", reused });
  return `${JSON.stringify({ title, ...text }, null, 2)}\n`;
}
