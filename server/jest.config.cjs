module.exports = require("../scripts/jest/node-project.cjs")({
  name: "server",
  rootDir: __dirname,
  globalSetup: "<rootDir>/../scripts/jest/cluster-up.mjs",
  globalTeardown: "<rootDir>/../scripts/jest/cluster-down.mjs",
});
