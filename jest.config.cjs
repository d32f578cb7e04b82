module.exports = {
  testTimeout: 30_000,
  projects: [
    "<rootDir>/core",
    "<rootDir>/cli",
    "<rootDir>/server",
    "<rootDir>/app",
    "<rootDir>/app/jest.plain.config.cjs",
  ],
};
