import { dayFileSchema } from "@tonodrome/core/day";
import { fitFileSchema } from "@tonodrome/core/fitting";
import { z } from "zod";

/** The JSON Schemas of what the command line reads by their files' names, generated from what it is read with. */
export const SCHEMAS = {
  "fit.schema.json": { title: "A Tonodrome plan with its day, to be fitted", schema: fitFileSchema },
  "day.schema.json": { title: "A Tonodrome day, to be counted back from its start", schema: dayFileSchema },
};

/** One of them as it is published. */
export function schemaText(name: keyof typeof SCHEMAS): string {
  const { title, schema } = SCHEMAS[name];
  const text = z.toJSONSchema(schema, { io: "input", target: "draft-2020-12" });
  return `${JSON.stringify({ title, ...text }, null, 2)}\n`;
}
