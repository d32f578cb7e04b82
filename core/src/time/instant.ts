import { z } from "zod";

/**
 * An ISO 8601 instant within the years that people plan for, as the clients and PostgreSQL both hold it. The years are
 * custom: a plan for another century is a slip.
 */
export const instantSchema = z.iso
  .datetime({ error: "Give the time as an ISO 8601 instant in UTC." })
  .max(40, { error: "Give the time in at most 40 characters." })
  .refine((s) => s >= "2000-01-01" && s < "2100-01-01", {
    error: "Give a time between the years 2000 and 2100.",
  });

/** A calendar day within the same years. */
export const daySchema = z.iso
  .date({ error: "Give the day, or none." })
  .refine((s) => s >= "2000-01-01" && s < "2100-01-01", {
    error: "Give a day between the years 2000 and 2100.",
  });
