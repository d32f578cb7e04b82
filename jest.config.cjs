module.exports = { testTimeout: 30_000, projects: ["<rootDir>/core", "<rootDir>/server", "<rootDir>/app"] };
