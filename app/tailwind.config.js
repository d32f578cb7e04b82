const plugin = require("tailwindcss/plugin");
const { light, dark, fonts, type, target, wide } = require("./ui/tokens");

const px = (n) => `${n}px`;
const variables = (palette) => Object.fromEntries(Object.entries(palette).map(([k, v]) => [`--${k}`, v]));

module.exports = {
  content: ["./app/**/*.{ts,tsx}", "./features/**/*.{ts,tsx}", "./ui/**/*.{ts,tsx}"],
  presets: [require("nativewind/preset")],
  theme: {
    colors: {
      transparent: "transparent",
      ...Object.fromEntries(Object.keys(light).map((name) => [name, `var(--${name})`])),
    },
    fontFamily: Object.fromEntries(
      Object.entries(fonts).map(([name, family]) => [name, [family, "sans-serif"]]),
    ),
    fontSize: Object.fromEntries(
      Object.entries(type).map(([name, [size, line]]) => [name, [px(size), px(line)]]),
    ),
    screens: { wide: px(wide) },
    borderRadius: { none: "0" },
    boxShadow: {},
    extend: {
      minHeight: { press: px(target.press), run: px(target.run) },
      minWidth: { press: px(target.press), run: px(target.run) },
    },
  },
  corePlugins: { boxShadow: false },
  plugins: [
    plugin(({ addBase }) =>
      addBase({
        ":root": { ...variables(light), colorScheme: "light" },
        "@media (prefers-color-scheme: dark)": {
          ":root:not([data-theme='light'])": { ...variables(dark), colorScheme: "dark" },
        },
        ":root[data-theme='dark']": { ...variables(dark), colorScheme: "dark" },
      }),
    ),
  ],
};
