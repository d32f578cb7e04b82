import { existsSync } from "node:fs";
import { ensureDebian } from "./debian.mjs";

/** Debian's Chromium as it is without a screen: it takes a sixth less of the machine. */
export const CHROMIUM = "/usr/bin/chromium-headless-shell";

/** Makes sure that there is a browser for the tests. */
export const ensureChromium = () =>
  ensureDebian(() => (existsSync(CHROMIUM) ? CHROMIUM : null), "chromium-headless-shell", "Chromium");
