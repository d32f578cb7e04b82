import { z } from "zod";

/*
 * What is sent is strict; what is answered is read with tolerance: a server that is newer than this page says more, and what
 * it says more is kept as it is and passed over.
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
}

const known = new WeakMap<z.ZodType, z.ZodType>();

/** The same schema that takes more fields than it names, and kinds that it does not know. */
export function tolerant<Schema extends z.ZodType>(schema: Schema): Schema {
  const made = known.get(schema) ?? make(schema);
  known.set(schema, made);
  return made as Schema;
}

function make(schema: z.ZodType): z.ZodType {
  const def = schema._zod.def as unknown as Def;
  const clone = (more: Partial<Def> & { catchall?: z.ZodType }): z.ZodType =>
    z.core.clone(schema, { ...def, ...more } as never);
  switch (def.type) {
    case "object": {
      const shape = Object.fromEntries(
        Object.entries(def.shape ?? {}).map(([field, inner]) => [field, tolerant(inner)]),
      );
      return clone({ shape, catchall: z.unknown() });
    }
    case "array":
      return clone({ element: tolerant(def.element as z.ZodType) });
    case "optional":
    case "nullable":
    case "default":
    case "prefault":
    case "readonly":
      return clone({ innerType: tolerant(def.innerType as z.ZodType) });
    case "record":
      return clone({ valueType: tolerant(def.valueType as z.ZodType) });
    case "tuple":
      return clone({ items: (def.items ?? []).map((item) => tolerant(item)) });
    case "pipe":
      return clone({ in: tolerant(def.in as z.ZodType), out: tolerant(def.out as z.ZodType) });
    case "intersection":
      return clone({ left: tolerant(def.left as z.ZodType), right: tolerant(def.right as z.ZodType) });
    case "union":
      return unionOf(def);
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
