import { z } from "zod";
import { planBodySchema } from "../../plan/plan";
import { nameSchema } from "../../words/text";
import { instantSchema, newIdSchema } from "../common/common";
import { MOST } from "../common/most";

/** A warm-up that the club begins others from. */
export const templateInputSchema = z.strictObject({
  id: newIdSchema,
  name: nameSchema,
  body: planBodySchema,
});

/** A template as the server answers. */
export const templateSchema = z.strictObject({
  id: z.uuid(),
  createdAt: instantSchema,
  name: nameSchema,
  body: planBodySchema,
});

/** Every template of a club. */
export const templateListSchema = z.strictObject({ templates: z.array(templateSchema).max(MOST.templates) });

export type TemplateInput = z.infer<typeof templateInputSchema>;
export type Template = z.infer<typeof templateSchema>;
