/** One Jest project that runs TypeScript in plain Node, as core and server do. */
module.exports = ({ name, rootDir, ...more }) => ({
  displayName: name,
  rootDir,
  testEnvironment: "node",
  testMatch: ["<rootDir>/**/*.test.ts"],
  transform: {
    "\\.[jt]s$": [
      process.env.MUTANT ? require.resolve("./mutant-transform.cjs") : "babel-jest",
      {
        configFile: false,
        babelrc: false,
        presets: [
          ["@babel/preset-env", { targets: { node: "current" } }],
          ["@babel/preset-typescript", { allowDeclareFields: true }],
        ],
      },
    ],
  },
  transformIgnorePatterns: ["/node_modules/(?!(@date-fns|fastify-type-provider-zod|zod)/)"],
  ...more,
});
