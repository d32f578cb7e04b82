module.exports = require("../scripts/jest/node-project.cjs")({ name: "core", rootDir: __dirname });
