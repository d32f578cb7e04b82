// Publishes the JSON Schema and the page of checks: `npm run schema`.
import { writeFileSync } from "node:fs";
import { fileURLToPath } from "node:url";
import { checksText } from "./checksText";
import { SCHEMAS, schemaText } from "./schemaText";

const write = (file: string, text: string) =>
  writeFileSync(fileURLToPath(new URL(`../../docs/${file}`, import.meta.url)), text);

for (const name of Object.keys(SCHEMAS) as (keyof typeof SCHEMAS)[])
  write(`schema/${name}`, schemaText(name));
write("checks.md", checksText());
