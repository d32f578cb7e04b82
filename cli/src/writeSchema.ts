// Publishes the JSON Schema: `npm run schema`.
import { writeFileSync } from "node:fs";
import { fileURLToPath } from "node:url";
import { schemaText } from "./schemaText";

writeFileSync(fileURLToPath(new URL("../../docs/schema/fit.schema.json", import.meta.url)), schemaText());
