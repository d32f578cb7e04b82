import { defineConfig } from "@playwright/test";
import { chromium } from "./browser";

const port = Number(process.env.E2E_PORT ?? 4791);

export default defineConfig({
  testDir: "tests",
  outputDir: "test-results",
  workers: 2,
  // The longest story takes 40 s alone, and up to five times as long beside the other checks on two slow processors.
  timeout: 240_000,
  // What takes 2 s alone takes five times as long beside the other checks on two processors.
  expect: { timeout: 20_000 },
  retries: 0,
  reporter: [["list"]],
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 390, height: 844 },
    hasTouch: true,
    locale: "en-GB",
    // Kept files would come between the tests and what they put in the server's place; offline.spec allows them.
    serviceWorkers: "block",
    launchOptions: chromium,
    // What a page did is recorded by TRACE=on: it takes a quarter of the machine.
    trace: process.env.TRACE ? "retain-on-failure" : "off",
    screenshot: "only-on-failure",
  },
  webServer: {
    command: "node ../scripts/e2e-server.mjs",
    env: { PORT: String(port) },
    url: `http://127.0.0.1:${port}/ready`,
    timeout: 120_000,
    gracefulShutdown: { signal: "SIGTERM", timeout: 20_000 },
    reuseExistingServer: false,
  },
});
