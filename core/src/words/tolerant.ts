import { z } from "zod";

/*
 * What is sent is strict; what is answered is read with tolerance: a server that is newer than this page says more. What it
 * says more is kept where it is read, passed over, and not sent back.
 */

/** What a Zod schema says of itself, as far as it is walked here. */
interface Def {
  type: string;
  shape?: Record<string, z.ZodType>;
  element?: z.ZodType;
  options?: z.ZodType[];
  discriminator?: string;
  innerType?: z.ZodType;
  valueType?: z.ZodType;
  items?: z.ZodType[];
  in?: z.ZodType;
  out?: z.ZodType;
  left?: z.ZodType;
  right?: z.ZodType;
  values?: unknown[];
  catchall?: z.ZodType;
}

/** What becomes of fields that a schema does not name: they stay, or are left out. */
type More = "kept" | "left-out";

const known = { kept: new WeakMap<z.ZodType, z.ZodType>(), "left-out": new WeakMap<z.ZodType, z.ZodType>() };

/** The same schema that takes more fields than it names, and kinds that it does not know. */
export const tolerant = <Schema extends z.ZodType>(schema: Schema): Schema => walked(schema, "kept");

/** The same schema that leaves out what it does not name, at any depth: what may be sent of something that was read. */
export const leavingOut = <Schema extends z.ZodType>(schema: Schema): Schema => walked(schema, "left-out");

/**
 * Whether something is right in all that a schema names, whatever a later release says besides: what a press makes of
 * something that was read counts by that, not by the letter.
 */
export const isRight = (schema: z.ZodType, value: unknown): boolean =>
  leavingOut(schema).safeParse(value).success;

function walked<Schema extends z.ZodType>(schema: Schema, more: More): Schema {
  const made = known[more].get(schema) ?? make(schema, more);
  known[more].set(schema, made);
  return made as Schema;
}

function make(schema: z.ZodType, more: More): z.ZodType {
  const def = schema._zod.def as unknown as Def;
  const walk = (inner: z.ZodType | undefined) => walked(inner as z.ZodType, more);
  const clone = (changed: Partial<Def>): z.ZodType => z.core.clone(schema, { ...def, ...changed } as never);
  switch (def.type) {
    case "object": {
      const shape = Object.fromEntries(
        Object.entries(def.shape ?? {}).map(([field, inner]) => [field, walk(inner)]),
      );
      const isStrict = def.catchall?._zod.def.type === "never";
      return clone({ shape, catchall: more === "kept" ? z.unknown() : isStrict ? undefined : def.catchall });
    }
    case "array":
      return clone({ element: walk(def.element) });
    case "optional":
    case "nullable":
    case "default":
    case "prefault":
    case "readonly":
      return clone({ innerType: walk(def.innerType) });
    case "record":
      return clone({ valueType: walk(def.valueType) });
    case "tuple":
      return clone({ items: (def.items ?? []).map(walk) });
    case "pipe":
      return clone({ in: walk(def.in), out: walk(def.out) });
    case "intersection":
      return clone({ left: walk(def.left), right: walk(def.right) });
    case "union":
      if (more === "kept") return unionOf(def);
      // Where it is one of them to the letter it is that one.
      return def.discriminator
        ? clone({ options: (def.options ?? []).map(walk) })
        : z.union([...(def.options ?? []), ...(def.options ?? []).map(walk)] as [z.ZodType, ...z.ZodType[]]);
    default:
      return schema;
  }
}

/** A union that lets through what is of a kind that is not known here: a press that a newer page made, say. */
function unionOf({ options = [], discriminator }: Def): z.ZodType {
  const all = options.map((option) => tolerant(option));
  if (!discriminator) return z.union(all as [z.ZodType, ...z.ZodType[]]);
  const kinds = new Set(options.flatMap((option) => kindsOf(option, discriminator)));
  const other = z.looseObject({
    [discriminator]: z
      .string()
      .refine((kind) => !kinds.has(kind), { error: "It is of a known kind, and wrong." }),
  });
  return z.union([...all, other] as unknown as [z.ZodType, ...z.ZodType[]]);
}

/** The kinds that an option stands for; an option may be a union of several itself. */
function kindsOf(option: z.ZodType, discriminator: string): unknown[] {
  const def = option._zod.def as unknown as Def;
  if (def.type === "union") return (def.options ?? []).flatMap((inner) => kindsOf(inner, discriminator));
  const literal = def.shape?.[discriminator]?._zod.def as unknown as Def | undefined;
  return literal?.values ?? [];
}
