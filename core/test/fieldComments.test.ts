import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { type FieldComments, readFieldComments } from "../schema/fieldComments";
import { FIELD_WORDS } from "../schema/fieldWords";
import { FILE_SCHEMAS, fileSchemaText } from "../schema/fileSchemas";
import { jsonSchemas } from "../schema/jsonSchemas";
import { schemaNames } from "../schema/names";

const SOURCE = `
import { z } from "zod";
const shape = {
  /** What it is called. */
  name: z.string(),
  size: z.number(),
};
export const boatSchema = z.strictObject({
  ...shape,
  /** How many row. */
  crew: z.number(),
});
export const listSchema = z.strictObject({
  /** Boats of the list. */
  boats: z.array(boatSchema),
});
export const otherListSchema = z.strictObject({
  /** Boats of the other list. */
  boats: z.array(boatSchema),
});
/** Of a boat, what strangers see. */
export const silentSchema = z.strictObject({ name: z.string(), size: z.number() });
const usual = {
  /** No schema. */
  oars: 8,
  size: 3,
};
`;

describe("a field's comment", () => {
  let folder: string;
  let comments: FieldComments;
  beforeAll(() => {
    folder = mkdtempSync(path.join(tmpdir(), "comments-"));
    mkdirSync(path.join(folder, "inner"));
    writeFileSync(path.join(folder, "inner", "boats.ts"), SOURCE);
    writeFileSync(path.join(folder, "none.ts"), "export const a = { /** Not with Zod. */ name: 1 };");
    comments = readFieldComments(folder);
  });
  afterAll(() => rmSync(folder, { recursive: true, force: true }));

  it.each([
    ["is its own", ["name", "size", "crew"], "crew", "boatSchema", "How many row."],
    ["comes with what is taken over", ["name", "size", "crew"], "name", "boatSchema", "What it is called."],
    [
      "is the one of its name where two have the same fields",
      ["boats"],
      "boats",
      "otherListSchema",
      "Boats of the other list.",
    ],
    ["is none where the schema itself says nothing", ["name", "size"], "name", "silentSchema", undefined],
    ["is none of an object that is no schema", ["oars", "size"], "oars", undefined, undefined],
    ["is none of a schema that is another one", ["name", "a", "b", "c"], "name", undefined, undefined],
  ])("%s", (_, keys, key, name, said) => {
    expect(comments(keys, name)(key)).toBe(said);
  });
});

it("leaves no word of the glossary that no schema needs", () => {
  const files = Object.keys(FILE_SCHEMAS) as (keyof typeof FILE_SCHEMAS)[];
  const options = { io: "output", strict: false, names: schemaNames(), addressOf: String } as const;
  const written = JSON.stringify(jsonSchemas(options)) + files.map(fileSchemaText).join();
  const unneeded = Object.entries(FIELD_WORDS).filter(
    ([, words]) => !written.includes(JSON.stringify(words)),
  );
  expect(unneeded).toEqual([]);
});
