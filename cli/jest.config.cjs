module.exports = require("../scripts/jest/node-project.cjs")({ name: "cli", rootDir: __dirname });
