import type { z } from "zod";
import { type JsonSchema, jsonSchemas } from "../../core/schema/jsonSchemas";

/** Whether a schema is of what is sent, where defaults may be left out, or of what is answered. */
export type Direction = "input" | "output";

/** The schemas of a description: each stands once, under its name. */
export interface Components {
  /** Points to a schema; the name is for one that has none of its own. */
  use(schema: z.ZodType, direction: Direction, name?: string): { $ref: string };
  /** The fields of an object of parameters, which have no name. */
  inPlace(schema: z.ZodObject): { properties: Record<string, JsonSchema>; required: string[] };
  /** No more schemas come: after it they can be read. */
  close(): void;
  /** Those that were used, by name. */
  schemas(): Record<string, JsonSchema>;
}

const ADDRESS = "#/components/schemas/";

/** What is sent is called so where the same name is answered with another shape. */
const SENT = "Sent";

/** @param known names of schemas; others get the names they are used with */
export function makeComponents(known: ReadonlyMap<z.ZodType, string>): Components {
  const names = new Map(known);
  const used = new Set<string>();
  let written: Record<Direction, Record<string, JsonSchema>> | null = null;
  let differing: ReadonlySet<string> = new Set();

  const write = (io: Direction, addressOf: (name: string) => string) =>
    jsonSchemas({ io, strict: false, names, addressOf });
  const nameOf = (schema: z.ZodType) => names.get(schema) as string;
  const read = () => {
    if (!written) throw new Error("Close the components first.");
    return written;
  };

  return {
    use(schema, direction, name) {
      if (!names.has(schema) && name) names.set(schema, name);
      const plain = nameOf(schema);
      const called = direction === "input" && differing.has(plain) ? `${plain}${SENT}` : plain;
      if (written) used.add(called);
      return { $ref: `${ADDRESS}${called}` };
    },
    inPlace(schema) {
      if (!names.has(schema)) names.set(schema, `Parameters${names.size}`);
      const { output, input } = written ?? { output: {}, input: {} };
      const { properties = {} } = output[nameOf(schema)] ?? {};
      for (const name of refsIn(properties)) used.add(name);
      return {
        properties: properties as Record<string, JsonSchema>,
        required: (input[nameOf(schema)]?.required ?? []) as string[],
      };
    },
    close() {
      const plain = (name: string) => `${ADDRESS}${name}`;
      const output = write("output", plain);
      differing = differingIn(write("input", plain), output);
      written = {
        output,
        input: write("input", (name) => `${ADDRESS}${name}${differing.has(name) ? SENT : ""}`),
      };
    },
    schemas() {
      const { input, output } = read();
      const all: Record<string, JsonSchema> = {};
      const take = (name: string) => {
        if (name in all) return;
        const plain = name.endsWith(SENT) ? name.slice(0, -SENT.length) : name;
        const schema = name === plain ? output[name] : input[plain];
        if (!schema) throw new Error(`There is no schema ${name}.`);
        all[name] = schema;
        for (const inner of refsIn(schema)) take(inner);
      };
      for (const name of used) take(name);
      return Object.fromEntries(Object.entries(all).sort(([a], [b]) => (a < b ? -1 : 1)));
    },
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
