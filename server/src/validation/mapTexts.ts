import type { z } from "zod";
import { defOf, optionsFor } from "./def";

/**
 * A value with every free text in it changed: what its schema calls a text, and not what it calls an id, an instant or
 * one of several words.
 * @param change is given the text and the name of the field that it stands in
 */
export function mapTexts(
  schema: z.ZodType,
  value: unknown,
  change: (text: string, field: string) => string,
  field = "",
): unknown {
  const def = defOf(schema);
  switch (def.type) {
    case "optional":
    case "nullable":
    case "default":
      return value === undefined || value === null
        ? value
        : mapTexts(def.innerType as z.ZodType, value, change, field);
    case "pipe":
      return mapTexts(def.in as z.ZodType, value, change, field);
    case "string": {
      const isFormat =
        def.format !== undefined || def.checks?.some((c) => c._zod.def.check === "string_format");
      return isFormat || typeof value !== "string" ? value : change(value, field);
    }
    case "array":
      return Array.isArray(value)
        ? value.map((one) => mapTexts(def.element as z.ZodType, one, change, field))
        : value;
    case "object":
      if (typeof value !== "object" || value === null) return value;
      return Object.fromEntries(
        Object.entries(value).map(([key, one]) => {
          const inner = def.shape?.[key];
          return [key, inner ? mapTexts(inner, one, change, key) : one];
        }),
      );
    case "union": {
      const fitting = optionsFor(def, value).find((option) => option.safeParse(value).success);
      return fitting ? mapTexts(fitting, value, change, field) : value;
    }
    default:
      return value;
  }
}
