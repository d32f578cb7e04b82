module.exports = (api) => ({
  presets: [["babel-preset-expo", { jsxImportSource: "nativewind" }], "nativewind/babel"],
  // Tests have no modules that are loaded later.
  plugins: api.env("test")
    ? ["@babel/plugin-transform-dynamic-import"]
    : [require("./build/pastBarrels.cjs")],
});
