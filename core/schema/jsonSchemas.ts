import path from "node:path";
import { z } from "zod";
import { readFieldComments } from "./fieldComments";
import { FIELD_WORDS } from "./fieldWords";

/** A JSON Schema (draft 2020-12), as plain data. */
export type JsonSchema = Record<string, unknown>;

export interface JsonSchemaOptions {
  /** What is sent, where a default may be left out, or what is answered, where it stands. */
  io: "input" | "output";
  /** Whether fields that the schema does not know are refused, as in what is sent, or may come later, as in answers. */
  strict: boolean;
  /** Schemas that stand once, by their names, and the address of each. */
  names: ReadonlyMap<z.ZodType, string>;
  addressOf: (name: string) => string;
}

/** Where the fields' descriptions are kept while a schema is written. */
const SAID = "x-said";

const fieldComments = readFieldComments(path.resolve("core", "src"));

/**
 * Turns schemas into JSON Schemas whose fields are described. Run it at the root of the project: it reads the core's source.
 * @returns the schemas by name, each without the others, which it points to
 * @throws Error naming the fields that have no description
 */
export function jsonSchemas({ io, strict, names, addressOf }: JsonSchemaOptions): Record<string, JsonSchema> {
  const registry = z.registry<{ id: string }>();
  for (const [schema, id] of names) registry.add(schema, { id });
  const unsaid = new Set<string>();
  const { schemas } = z.toJSONSchema(registry, {
    io,
    target: "draft-2020-12",
    unrepresentable: "any",
    metadata: registry,
    uri: addressOf,
    override: ({ zodSchema, jsonSchema }) => {
      // The format says it, in a word.
      if (jsonSchema.format === "uuid" || (jsonSchema.format && !strict)) delete jsonSchema.pattern;
      // Every whole number lies between these.
      if (jsonSchema.minimum === Number.MIN_SAFE_INTEGER) delete jsonSchema.minimum;
      if (jsonSchema.maximum === Number.MAX_SAFE_INTEGER) delete jsonSchema.maximum;
      if (zodSchema._zod.def.type !== "object") return;
      if (!strict) delete jsonSchema.additionalProperties;
      const keys = Object.keys(jsonSchema.properties ?? {});
      const name = names.get(zodSchema as unknown as z.ZodType);
      const constant = name && `${name[0]?.toLowerCase()}${name.slice(1)}Schema`;
      const commentOf = fieldComments(keys, constant);
      const said = keys.map((key) => [key, commentOf(key) ?? FIELD_WORDS[key]] as const);
      for (const [key, words] of said) if (!words) unsaid.add(`${key} of { ${keys.join(", ")} }`);
      // Put in when all is written: until then one object may stand under several fields.
      jsonSchema[SAID] = Object.fromEntries(said);
    },
  });
  if (unsaid.size > 0) throw new Error(`Fields without a description:\n${[...unsaid].join("\n")}`);
  return Object.fromEntries(
    Object.entries(schemas).map(([name, { $schema, $id, id, ...schema }]) => [
      name,
      described(schema) as JsonSchema,
    ]),
  );
}

/** Puts the descriptions that are kept beside fields into them. */
function described(node: unknown): unknown {
  if (Array.isArray(node)) return node.map(described);
  if (typeof node !== "object" || node === null) return node;
  const { [SAID]: said, ...rest } = node as JsonSchema;
  const all = Object.fromEntries(Object.entries(rest).map(([key, value]) => [key, described(value)]));
  if (said)
    all.properties = Object.fromEntries(
      Object.entries((all.properties ?? {}) as Record<string, JsonSchema>).map(([key, field]) => [
        key,
        { ...field, description: (said as Record<string, string>)[key] },
      ]),
    );
  return all;
}
