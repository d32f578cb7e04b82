import type { LaunchOptions } from "@playwright/test";
import { CHROMIUM } from "../scripts/lib/chromium.mjs";

/** Debian's Chromium, kept from calling anybody. */
export const chromium: LaunchOptions = {
  executablePath: CHROMIUM,
  args: [
    "--no-sandbox",
    "--disable-gpu",
    "--disable-quic",
    "--no-first-run",
    "--disable-background-networking",
    "--disable-component-update",
    "--disable-sync",
  ],
};
