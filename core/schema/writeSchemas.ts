// Publishes the JSON Schemas of files and the page of checks: `npm run schema`.
import { writeFileSync } from "node:fs";
import path from "node:path";
import { checksText } from "./checksText";
import { FILE_SCHEMAS, fileSchemaText } from "./fileSchemas";

const write = (file: string, text: string) => writeFileSync(path.resolve("docs", file), text);

for (const file of Object.keys(FILE_SCHEMAS) as (keyof typeof FILE_SCHEMAS)[])
  write(path.join("schema", file), fileSchemaText(file));
write("checks.md", checksText());
