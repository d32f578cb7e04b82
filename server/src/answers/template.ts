import type { Template } from "@tonodrome/core/api";
import type { TemplateRow } from "../db/models/rows";

/** The answer for a template's row. */
export function toTemplate({ id, name, body, createdAt }: TemplateRow): Template {
  return { id, createdAt: createdAt.toISOString(), name, body };
}
