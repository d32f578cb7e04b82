import { readdirSync, readFileSync } from "node:fs";
import path from "node:path";
import Ajv2020 from "ajv/dist/2020";
import addFormats from "ajv-formats";
import { checksText } from "../schema/checksText";
import { FILE_SCHEMAS, fileSchemaText } from "../schema/fileSchemas";

const docs = (...names: string[]) => path.resolve(__dirname, "..", "..", "docs", ...names);
const read = (...names: string[]) => readFileSync(docs(...names), "utf8");
const FILES = Object.keys(FILE_SCHEMAS) as (keyof typeof FILE_SCHEMAS)[];

/** A validator of another make than the one that reads the files. */
function validator(file: string) {
  const ajv = new Ajv2020({ allowUnionTypes: true });
  addFormats(ajv);
  return ajv.compile(JSON.parse(read("schema", file)));
}

it("is published as it is read: npm run schema", () => {
  expect(readdirSync(docs("schema")).sort()).toEqual([...FILES].sort());
  for (const file of FILES) expect(read("schema", file)).toBe(fileSchemaText(file));
});

it("has every check on the page of checks, as it is: npm run schema", () => {
  expect(read("checks.md")).toBe(checksText());
});

it.each(FILES)("%s has an address, a title, and a description of each field", (file) => {
  const schema = JSON.parse(read("schema", file));
  expect(schema).toMatchObject({
    $id: expect.stringMatching(/^https:.*\.json$/),
    title: expect.any(String),
    description: expect.any(String),
  });
  let fields = 0;
  const look = (node: unknown): void => {
    if (typeof node !== "object" || node === null) return;
    const { properties } = node as { properties?: Record<string, { description?: string }> };
    for (const [name, field] of Object.entries(properties ?? {})) {
      fields += 1;
      // The name of the field stands in a fault.
      expect([name, field.description]).toEqual([name, expect.stringMatching(/^\S.*\S$/)]);
    }
    for (const inner of Object.values(node)) look(inner);
  };
  look(schema);
  expect(fields).toBeGreaterThan(30);
});

it.each([
  ["fit.schema.json", "six-minutes.json"],
  ["fit.schema.json", "judged.json"],
  ["day.schema.json", "day.json"],
])("%s takes the example %s, and not with a field that is not known or is missing", (file, example) => {
  const takes = validator(file);
  const given = JSON.parse(read("examples", example));
  expect([takes(given), takes.errors]).toEqual([true, null]);
  expect(takes({ ...given, unheardOf: 1 })).toBe(false);
  const { format: _, ...without } = given;
  expect(takes(without)).toBe(false);
});
