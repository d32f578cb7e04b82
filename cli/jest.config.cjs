module.exports = require("../scripts/jest/node-project.cjs")({
  name: "cli",
  rootDir: __dirname,
  globalSetup: "<rootDir>/../scripts/jest/command-line.mjs",
});
