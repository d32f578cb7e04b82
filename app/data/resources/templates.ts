import { type TemplateInput, templateListSchema, templateSchema } from "@tonodrome/core/api";
import { useClubList, useMake, useRemove } from "~/data/queries/resource";

/** Warm-ups that the club begins others from. */
export const useTemplates = () => useClubList(templateListSchema, "/templates", "templates");

/** Keeps a warm-up as a template. */
export const useCreateTemplate = () =>
  useMake<TemplateInput, typeof templateSchema>(templateSchema, "/templates", "templates");

/** Deletes a template. */
export const useDeleteTemplate = () => useRemove("/templates", "templates");
