/**
 * The look of Tonodrome, settled here once: one ink from pale to full, paper, one signal colour kept for *now* and
 * *the start*, type and spacing. Tailwind turns these into classes and CSS variables; code reads them from here.
 */

/** Paper light. */
const light = {
  paper: "#F5F3F5",
  line: "#D8CCD5",
  muted: "#5E4A59",
  ink: "#241420",
  /** Filled controls. */
  press: "#441540",
  "on-press": "#FFFFFF",
  signal: "#0847A6",
  "on-signal": "#FFFFFF",
  /** What rises on the running screen, and the text cut at its edge. */
  fill: "#5E2858",
  "on-fill": "#FFFFFF",
  "tone-1": "#EFE4EC",
  "tone-2": "#DEC9DA",
  "tone-3": "#C8A6C2",
  "tone-4": "#AD7FA6",
  "tone-5": "#83497D",
  "tone-6": "#652C5F",
  "tone-7": "#441540",
  "on-tone-1": "#241420",
  "on-tone-2": "#241420",
  "on-tone-3": "#241420",
  "on-tone-4": "#1C0D18",
  "on-tone-5": "#FFFFFF",
  "on-tone-6": "#FFFFFF",
  "on-tone-7": "#FFFFFF",
};

/** Hall dark: the same ink, lit. */
const dark = {
  paper: "#151016",
  line: "#43333F",
  muted: "#BCABB8",
  ink: "#F4ECF2",
  press: "#F1D6EE",
  "on-press": "#1C0D18",
  signal: "#8AB8FF",
  "on-signal": "#081733",
  fill: "#D2A8CF",
  "on-fill": "#150A13",
  "tone-1": "#2A1F2A",
  "tone-2": "#3D2B3C",
  "tone-3": "#553A53",
  "tone-4": "#704A6C",
  "tone-5": "#AC82A8",
  "tone-6": "#CFA5CC",
  "tone-7": "#F1D6EE",
  "on-tone-1": "#F4ECF2",
  "on-tone-2": "#F4ECF2",
  "on-tone-3": "#F4ECF2",
  "on-tone-4": "#FFFFFF",
  "on-tone-5": "#150A13",
  "on-tone-6": "#150A13",
  "on-tone-7": "#150A13",
};

const fonts = {
  text: "AtkinsonHyperlegibleNext_400Regular",
  strong: "AtkinsonHyperlegibleNext_700Bold",
  figures: "ArchivoNarrow_700Bold",
};

/**
 * Sizes and line heights, pixels at the browser's usual text size: they grow with the person's. What is large already takes
 * at most so much of the screen's width, per cent.
 */
const type = {
  small: [15, 20],
  body: [17, 24],
  lead: [20, 26],
  title: [26, 32, 9],
  figure: [34, 38, 9.5],
  huge: [52, 64, 17],
  giant: [128, 128],
  /** The running clock on a wide screen. */
  colossal: [240, 240],
};

/** Smallest side of anything that is pressed, pixels: everywhere, and on the running screen. */
const target = { press: 48, run: 64 };

/** From this width on, the stair stands on the left with the detail beside it. */
const wide = 1000;

module.exports = { light, dark, fonts, type, target, wide, tones: 7 };
