const path = require("node:path");
const { testsOf } = require("../scripts/jest/isBundled.cjs");

/** Tests of the application that need nothing of the platform: its data layer, and what is reckoned for its screens. */
module.exports = require("../scripts/jest/node-project.cjs")({
  name: "app-plain",
  rootDir: __dirname,
  testEnvironment: "jsdom",
  globalSetup: require.resolve("../scripts/jest/app-plain-up.mjs"),
  testMatch: testsOf(path.join(__dirname, "test"), true),
});
