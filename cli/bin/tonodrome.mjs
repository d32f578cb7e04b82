#!/usr/bin/env node
// The command line, as `npm start` and `npm test` build it with the rest.
import { existsSync } from "node:fs";
import { fileURLToPath } from "node:url";

const bundle = new URL("../dist/tonodrome.mjs", import.meta.url);
if (existsSync(fileURLToPath(bundle))) {
  const { main } = await import(bundle);
  process.exitCode = await main(process.argv.slice(2), process);
} else {
  process.stderr.write(
    "The command line is not built yet: run `npm run build:cli`, or npm start or npm test once.\n",
  );
  process.exitCode = 2;
}
