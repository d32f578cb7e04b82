const path = require("node:path");
const { isBundled } = require("./isBundled.cjs");

const root = path.resolve(__dirname, "..", "..");
/** Reads the script where it is when the test runs: what Jest keeps of this is the same each time. */
const reads = (file) =>
  `module.exports = require(process.env.TEST_BUNDLES + ${JSON.stringify(`/${path.relative(root, file).replace(/\.ts$/, ".js")}`)});`;

/** Gives Jest the script that a test was built into; what is not built goes through the transform named in `plain`. */
module.exports = {
  createTransformer({ plain: [name, options] }) {
    const plain = require(name);
    const { createTransformer } = plain.default ?? plain;
    const other = createTransformer(options);
    return {
      ...other,
      process: (source, file, how) =>
        isBundled(file) ? { code: reads(file) } : other.process(source, file, how),
      getCacheKey: (source, file, how) =>
        isBundled(file)
          ? `bundled-${path.relative(root, file).replace(/\W/g, "-")}`
          : other.getCacheKey(source, file, how),
    };
  },
};
