import { randomUUID } from "node:crypto";

/** Ids for what is made in a test. */
export const anyId = (): string => randomUUID();
