// Publishes the JSON Schema and the page of checks: `npm run schema`.
import { writeFileSync } from "node:fs";
import { fileURLToPath } from "node:url";
import { checksText } from "./checksText";
import { schemaText } from "./schemaText";

writeFileSync(fileURLToPath(new URL("../../docs/schema/fit.schema.json", import.meta.url)), schemaText());
writeFileSync(fileURLToPath(new URL("../../docs/checks.md", import.meta.url)), checksText());
