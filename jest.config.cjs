module.exports = { projects: ["<rootDir>/core", "<rootDir>/server", "<rootDir>/app"] };
