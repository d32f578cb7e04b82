const { createHash } = require("node:crypto");
const path = require("node:path");
const { isBundled } = require("./isBundled.cjs");

const root = path.resolve(__dirname, "..", "..");
const bundleOf = (file) =>
  path.join(process.env.TEST_BUNDLES, path.relative(root, file).replace(/\.ts$/, ".js"));

/** Gives Jest the script that a test was built into; what is not built goes through the transform named in `plain`. */
module.exports = {
  createTransformer({ plain: [name, options] }) {
    const plain = require(name);
    const { createTransformer } = plain.default ?? plain;
    const other = createTransformer(options);
    return {
      ...other,
      process: (source, file, how) =>
        isBundled(file)
          ? { code: `module.exports = require(${JSON.stringify(bundleOf(file))});` }
          : other.process(source, file, how),
      getCacheKey: (source, file, how) =>
        isBundled(file)
          ? createHash("sha256").update(bundleOf(file)).digest("hex")
          : other.getCacheKey(source, file, how),
    };
  },
};
