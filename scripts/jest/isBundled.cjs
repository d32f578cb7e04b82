const { readdirSync, readFileSync } = require("node:fs");
const path = require("node:path");

/** Whether a test is built into one script: not where it puts something in a module's place, or draws as the platform does. */
const isBundled = (file) =>
  /\.test\.ts$/.test(file) && !/\bjest\.(?:mock|doMock)\(/.test(readFileSync(file, "utf8"));

/** The tests below a folder that are built into one script each, or those that are not. */
const testsOf = (dir, bundled) =>
  readdirSync(dir, { recursive: true })
    .filter((file) => /\.test\.tsx?$/.test(file))
    .map((file) => path.join(dir, file))
    .filter((file) => isBundled(file) === bundled);

module.exports = { isBundled, testsOf };
