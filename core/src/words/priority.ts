import { z } from "zod";

/** How much a drill matters when time is short. Strictly ordered: no amount of a later one outweighs an earlier one. */
export const prioritySchema = z.enum(["essential", "useful", "extra"]);
export type Priority = z.infer<typeof prioritySchema>;

/** All of them, the most important first. */
export const PRIORITIES: readonly Priority[] = prioritySchema.options;
