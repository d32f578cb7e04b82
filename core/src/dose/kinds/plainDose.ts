import { z } from "zod";
import type { PlainKind } from "./kind";
import { PLAIN_KINDS } from "./list";

type PlainSchema = (typeof PLAIN_KINDS)[keyof typeof PLAIN_KINDS]["schema"];

const schemas = Object.values(PLAIN_KINDS).map((kind) => kind.schema);

/** How much of one thing is done, at one intensity. */
export const plainDoseSchema = z.discriminatedUnion("kind", schemas as [PlainSchema, ...PlainSchema[]]);

export type PlainDose = z.infer<typeof plainDoseSchema>;

/** What there is to the kind of a dose. */
export function kindOf({ kind }: Pick<PlainDose, "kind">): PlainKind<PlainDose> {
  return PLAIN_KINDS[kind] as unknown as PlainKind<PlainDose>;
}

/**
 * Returns a first dose of a kind.
 * @param seconds about what it is to take, where that is known
 * @example firstDose("time", 90) // 60 to 120 s, in steps of 30 s
 */
export function firstDose(kind: PlainDose["kind"], seconds?: number): PlainDose {
  return kindOf({ kind }).first(seconds);
}
