import { z } from "zod";
import { clubHeadSchema, clubRecordSchema } from "../src/api";
import { dayFileSchema } from "../src/formats/dayFile";
import { fitFileSchema } from "../src/formats/fitFile";
import { runFileSchema } from "../src/formats/runFile";
import { type JsonSchema, jsonSchemas } from "./jsonSchemas";
import { schemaNames } from "./names";

/** What the command line reads, by the names of the files in docs/schema. */
export const FILE_SCHEMAS = {
  "fit.schema.json": {
    title: "Tonodrome: a plan with its day",
    description: "What `tonodrome fit`, `check` and `forecast` read.",
    schema: fitFileSchema,
  },
  "day.schema.json": {
    title: "Tonodrome: a whole day",
    description: "What `tonodrome day` reads: the steps are counted back from the start.",
    schema: dayFileSchema,
  },
  "run.schema.json": {
    title: "Tonodrome: a run",
    description: "What was to be done, and every press.",
    schema: runFileSchema,
  },
  "club.schema.json": {
    title: "Tonodrome: a line of a club's file",
    description: "The first line is the head, the last one the end.",
    schema: z.union([clubHeadSchema, clubRecordSchema]),
  },
} as const;

/** No server answers there: it names the schema, and stays the same wherever the file lies. */
const HOME = "https://tonodrome.example/schema/";

const ROOT = "File";

/** One of them as it is published. Run it at the root of the project. */
export function fileSchemaText(file: keyof typeof FILE_SCHEMAS): string {
  const { title, description, schema } = FILE_SCHEMAS[file];
  const all = jsonSchemas({
    io: "input",
    strict: true,
    names: new Map([...schemaNames(), [schema as z.ZodType, ROOT]]),
    addressOf: (name) => `#/$defs/${name}`,
  });
  const { [ROOT]: root } = all;
  const text = {
    $schema: "https://json-schema.org/draft/2020-12/schema",
    $id: HOME + file,
    title,
    description,
    ...root,
    $defs: neededBy(root as JsonSchema, all),
  };
  return `${JSON.stringify(text, null, 1)}\n`;
}

/** The schemas that one points to, and those that they point to, by name. */
function neededBy(root: JsonSchema, all: Readonly<Record<string, JsonSchema>>): Record<string, JsonSchema> {
  const needed: Record<string, JsonSchema> = {};
  const take = (schema: JsonSchema) => {
    for (const [, name = ""] of JSON.stringify(schema).matchAll(/"#\/\$defs\/(\w+)"/g)) {
      if (name in needed) continue;
      const inner = all[name] as JsonSchema;
      needed[name] = inner;
      take(inner);
    }
  };
  take(root);
  return Object.fromEntries(Object.entries(needed).sort(([a], [b]) => (a < b ? -1 : 1)));
}
