import type { TemplateInput } from "@tonodrome/core/api";
import { useClubList, useMake, useRemove } from "~/data/resources/resource";

/** Warm-ups that the club begins others from. */
export const useTemplates = () => useClubList("templateList", "/templates", "templates");

/** Keeps a warm-up as a template. */
export const useCreateTemplate = () =>
  useMake<TemplateInput, "template">("template", "templateInput", "/templates", "templates");

/** Deletes a template. */
export const useDeleteTemplate = () => useRemove("/templates", "templates");
