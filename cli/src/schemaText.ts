import { fitFileSchema } from "@tonodrome/core/fitting";
import { z } from "zod";

/** The JSON Schema of what the command line reads, generated from what it is read with. */
export function schemaText(): string {
  const schema = z.toJSONSchema(fitFileSchema, { io: "input", target: "draft-2020-12" });
  return `${JSON.stringify({ title: "A Tonodrome plan with its day, to be fitted", ...schema }, null, 2)}\n`;
}
