import type { Fault } from "@tonodrome/core";

/** What was made; or why nothing was; or what is wrong with the file. */
export type Exported = { made: string | Uint8Array } | { why: string } | { faults: Fault[] };
