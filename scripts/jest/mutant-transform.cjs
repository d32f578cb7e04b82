const babelJest = require("babel-jest").default;

/**
 * Breaks one line of one file on its way into a test: MUTANT holds the file's path from the root of the project, what it
 * reads and what it is to read instead. Everything else is as babel-jest has it, and cached as ever.
 */
module.exports = {
  createTransformer(options) {
    const plain = babelJest.createTransformer(options);
    const { file, from, to } = JSON.parse(process.env.MUTANT);
    const broken = (source, filename) =>
      filename.endsWith(`/${file}`) ? source.replace(from, () => to) : source;
    return {
      ...plain,
      process: (source, filename, how) => plain.process(broken(source, filename), filename, how),
      getCacheKey: (source, filename, how) => plain.getCacheKey(broken(source, filename), filename, how),
    };
  },
};
