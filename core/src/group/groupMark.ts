import { z } from "zod";

/** What is marked of one athlete of a group at one step: done by themselves, or sat out. */
export const groupMarkSchema = z.enum(["done", "out"]);
export type GroupMark = z.infer<typeof groupMarkSchema>;
