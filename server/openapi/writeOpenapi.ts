// Publishes the description of the API: `npm run schema`.
import { writeFileSync } from "node:fs";
import path from "node:path";
import { openapiText } from "./openapiText";

writeFileSync(path.resolve("docs", "openapi.json"), await openapiText());
