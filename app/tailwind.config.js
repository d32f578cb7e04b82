const plugin = require("tailwindcss/plugin");
const { light, dark, fonts, type, target, wide } = require("./ui/tokens");

const px = (n) => `${n}px`;
/** The browser's own text size, to which sizes of type are relative. */
const ROOT = 16;
const rem = (n) => `${n / ROOT}rem`;
/** As large as the person's text size makes it, and never more of the screen's width than that. */
const size = ([n, , most]) => (most ? `min(${rem(n)}, ${most}vw)` : rem(n));
/** Room between things, which does not grow with the text: steps of four pixels. */
const STEPS = [
  ...[0, 0.5, 1, 1.5, 2, 2.5, 3, 3.5, 4, 5, 6, 7, 8, 9, 10, 11, 12],
  ...[14, 16, 20, 24, 28, 32, 36, 40, 44, 48, 52, 56, 60, 64, 72, 80, 96],
];
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
      Object.entries(type).map(([name, of]) => [name, [size(of), String(of[1] / of[0])]]),
    ),
    spacing: { px: "1px", ...Object.fromEntries(STEPS.map((n) => [n, px(4 * n)])) },
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
