/** How what is not built into one script is read. */
const plain = [
  process.env.MUTANT ? require.resolve("./mutant-transform.cjs") : "babel-jest",
  {
    configFile: false,
    babelrc: false,
    presets: [
      ["@babel/preset-env", { targets: { node: "current" } }],
      ["@babel/preset-typescript", { allowDeclareFields: true }],
    ],
  },
];

/** One Jest project that runs TypeScript in plain Node, as core and server do. */
module.exports = ({ name, rootDir, ...more }) => ({
  displayName: name,
  rootDir,
  testEnvironment: "node",
  testMatch: ["<rootDir>/**/*.test.ts"],
  transform: {
    "\\.[jt]s$": [require.resolve("./bundle-transform.cjs"), { plain }],
  },
  transformIgnorePatterns: ["/node_modules/(?!(@date-fns|fastify-type-provider-zod|zod)/)", "/bundles-\\d+/"],
  globalSetup: require.resolve("./bundles-up.mjs"),
  globalTeardown: require.resolve("./bundles-down.mjs"),
  ...more,
});
