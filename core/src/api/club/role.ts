import { z } from "zod";
import { ROLES } from "./rights";

/** A role as it is sent. */
export const roleSchema = z.enum(ROLES);
