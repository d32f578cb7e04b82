const path = require("node:path");
const { testsOf } = require("../scripts/jest/isBundled.cjs");
const preset = require("jest-expo/web/jest-preset");

/** Where one line is to be broken, what babel-jest reads goes by the file that breaks it. */
const transform = Object.fromEntries(
  Object.entries(preset.transform).map(([files, how]) =>
    Array.isArray(how) && how[0] === "babel-jest" && process.env.MUTANT
      ? [files, [require.resolve("../scripts/jest/mutant-transform.cjs"), how[1]]]
      : [files, how],
  ),
);

module.exports = {
  transform,
  displayName: "app",
  preset: "jest-expo/web",
  setupFilesAfterEnv: ["<rootDir>/test/made/quiet.ts"],
  rootDir: __dirname,
  testMatch: testsOf(path.join(__dirname, "test"), false),
  testPathIgnorePatterns: ["/dist/", "/node_modules/"],
  moduleNameMapper: { "^~/(.*)$": "<rootDir>/$1" },
  transformIgnorePatterns: [
    "/node_modules/(?!(@date-fns|zod|uuid|nativewind|react-native-css-interop|((jest-)?react-native|@react-native(-community)?)|expo(nent)?|@expo(nent)?/.*|expo-modules-core|react-native-svg|lucide-react-native|@react-navigation/.*)/?)",
  ],
};
