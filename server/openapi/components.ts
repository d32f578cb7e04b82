import type { z } from "zod";
import { type JsonSchema, jsonSchemas } from "../../core/schema/jsonSchemas";

/** Whether a schema is of what is sent, where defaults may be left out, or of what is answered. */
export type Direction = "input" | "output";

/** The schemas of a description: each stands once, under its name. */
export interface Components {
  /** Points to a schema, which from then on is among those that stand there. */
  use(schema: z.ZodType, direction: Direction): { $ref: string };
  /** The fields of an object of parameters, which stand where they are used. */
  inPlace(schema: z.ZodObject): { properties: Record<string, JsonSchema>; required: string[] };
  /** Those that were used, and what they are made of, by name. */
  schemas(): Record<string, JsonSchema>;
}

const ADDRESS = "#/components/schemas/";

/** What is sent is called so where the same name is answered with another shape. */
const SENT = "Sent";

/** @param names of every schema that there may be */
export function makeComponents(names: ReadonlyMap<z.ZodType, string>): Components {
  const write = (io: Direction, addressOf: (name: string) => string) =>
    jsonSchemas({ io, strict: false, names, addressOf });
  const plain = (name: string) => `${ADDRESS}${name}`;
  const output = write("output", plain);
  const differing = differingIn(write("input", plain), output);
  const nameIn = (direction: Direction, name: string) =>
    direction === "input" && differing.has(name) ? `${name}${SENT}` : name;
  const input = write("input", (name) => plain(nameIn("input", name)));
  const known: Record<string, JsonSchema> = { ...output };
  for (const name of differing) known[`${name}${SENT}`] = input[name] as JsonSchema;
  const nameOf = (schema: z.ZodType) => names.get(schema) as string;

  const all: Record<string, JsonSchema> = {};
  const take = (name: string) => {
    if (name in all) return;
    const schema = known[name] as JsonSchema;
    all[name] = schema;
    for (const inner of refsIn(schema)) take(inner);
  };
  return {
    use(schema, direction) {
      const name = nameIn(direction, nameOf(schema));
      take(name);
      return { $ref: plain(name) };
    },
    inPlace(schema) {
      const { properties = {} } = output[nameOf(schema)] as { properties?: Record<string, JsonSchema> };
      for (const name of refsIn(properties)) take(name);
      return { properties, required: (input[nameOf(schema)]?.required ?? []) as string[] };
    },
    schemas: () => Object.fromEntries(Object.entries(all).sort(([a], [b]) => (a < b ? -1 : 1))),
  };
}

/** The schemas that are sent in another shape than answered, themselves or by what they hold. */
function differingIn(
  input: Record<string, JsonSchema>,
  output: Record<string, JsonSchema>,
): ReadonlySet<string> {
  const differing = new Set(
    Object.keys(input).filter((name) => JSON.stringify(input[name]) !== JSON.stringify(output[name])),
  );
  for (let size = -1; size !== differing.size; ) {
    size = differing.size;
    for (const [name, schema] of Object.entries(input))
      if (refsIn(schema).some((inner) => differing.has(inner))) differing.add(name);
  }
  return differing;
}

/** The names that a schema points to. */
function refsIn(node: unknown): string[] {
  const found = JSON.stringify(node).matchAll(/"\$ref":"#\/components\/schemas\/(\w+)"/g);
  return [...new Set([...found].map(([, name]) => name as string))];
}
