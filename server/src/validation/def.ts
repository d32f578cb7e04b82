import type { z } from "zod";

/** What a Zod schema says of itself, as far as it is walked here. */
export interface Def {
  type: string;
  format?: string;
  shape?: Record<string, z.ZodType>;
  element?: z.ZodType;
  options?: z.ZodType[];
  discriminator?: string;
  innerType?: z.ZodType;
  in?: z.ZodType;
  values?: unknown[];
  checks?: { _zod: { def: { check?: string; format?: string; maximum?: number } } }[];
}

/** What a schema is made of. */
export const defOf = (schema: z.ZodType): Def => schema._zod.def as unknown as Def;

/** The options of a union that a value may be meant for: all, or, where a field names it, that one. */
export function optionsFor({ options = [], discriminator }: Def, value: unknown): z.ZodType[] {
  if (!discriminator) return options;
  const named = (value as Record<string, unknown> | null)?.[discriminator];
  return options.filter((option) => isNamed(option, discriminator, named));
}

/** Whether an option is the one that its field names; an option may be a union of several itself. */
function isNamed(option: z.ZodType, discriminator: string, named: unknown): boolean {
  const def = defOf(option);
  if (def.type === "union") return (def.options ?? []).some((inner) => isNamed(inner, discriminator, named));
  const literal = def.shape?.[discriminator];
  // What cannot be told here is left to the schema.
  return literal === undefined || (defOf(literal).values?.includes(named) ?? true);
}
