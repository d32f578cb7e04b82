// Looks docs/openapi.json over with a linter's recommended rules: nothing may be left, not even a warning.
import { readFileSync } from "node:fs";
import path from "node:path";
import { createConfig, lintFromString } from "@redocly/openapi-core";

const [file = path.resolve("docs", "openapi.json")] = process.argv.slice(2);
const config = await createConfig({ extends: ["recommended"] });
const problems = await lintFromString({ source: readFileSync(file, "utf8"), absoluteRef: file, config });
for (const { severity, ruleId, message, location } of problems)
  console.error(`${severity} ${ruleId}: ${message} (${location[0]?.pointer})`);
if (problems.length > 0) process.exitCode = 1;
