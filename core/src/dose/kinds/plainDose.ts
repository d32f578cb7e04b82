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

/** A first dose of a kind, for a drill that is changed from one kind to another. */
export function firstDose(kind: PlainDose["kind"]): PlainDose {
  return kindOf({ kind }).first();
}
