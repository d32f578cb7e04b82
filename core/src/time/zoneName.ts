import { z } from "zod";
import { isTimeZone } from "./zone";

/** A time zone by its IANA name. */
export const zoneSchema = z
  .string()
  .max(64)
  .refine(isTimeZone, { error: "This time zone is not known: give an IANA name like Europe/Vienna." });
