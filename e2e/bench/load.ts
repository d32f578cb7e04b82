// What opening Today costs beside an empty application of the same packages built in the same way, by turns on this
// machine: script, largest paint and blocking time at a CPU four times slower and a slow mobile net, and what a second
// visit takes. `npm run bench`.
import { type Browser, type BrowserContext, chromium, type Page } from "@playwright/test";
import { chromium as launch } from "../browser";
import { openDemo } from "../coach";

const ours = process.env.BENCH_URL as string;
const empty = process.env.BENCH_EMPTY_URL as string;
const SLOWDOWN = 4;
/** Each is opened so many times. */
const TURNS = 5;
/** A slow mobile net, as performance audits of pages usually have it: round trip ms, bytes a second. */
const NET = { latency: 150, downloadThroughput: (1.6e6 / 8) * 0.9, uploadThroughput: 750e3 / 8 };
/** After so long without a long task it has come to rest, ms; later than so long after it began nothing is of its loading. */
const QUIET = 3000;
const LONGEST = 30_000;

interface Load {
  /** Bytes of script, gzipped. */
  script: number;
  /** The largest paint, ms from the beginning. */
  paint: number;
  /** Beyond the first 50 ms of each task, summed from the beginning until it rests, ms. */
  blocking: number;
}

/** Keeps what the browser says of paints and long tasks, from before the page's first script on. */
function watch(): void {
  const seen = { paint: 0, tasks: [] as { at: number; for: number }[] };
  Object.assign(window, { seen });
  const each = (type: string, tell: (e: PerformanceEntry) => void) =>
    new PerformanceObserver((list) => list.getEntries().forEach(tell)).observe({ type, buffered: true });
  each("largest-contentful-paint", (e) => {
    seen.paint = e.startTime;
  });
  each("longtask", (e) => seen.tasks.push({ at: e.startTime, for: e.duration }));
}

/** Slows the page's machine down, and its net if that is wished. */
async function slowed(
  page: Page,
  net: boolean,
): Promise<Awaited<ReturnType<BrowserContext["newCDPSession"]>>> {
  // The loader names functions by a helper that the page does not have.
  await page.addInitScript("globalThis.__name = (f) => f");
  const client = await page.context().newCDPSession(page);
  await client.send("Network.enable");
  await client.send("Emulation.setCPUThrottlingRate", { rate: SLOWDOWN });
  if (net) await client.send("Network.emulateNetworkConditions", { offline: false, ...NET });
  return client;
}

/** Opens a page for the first time and waits until it rests. */
async function load(browser: Browser, url: string, text: string): Promise<Load> {
  const context = await browser.newContext({
    ...{ baseURL: url, viewport: { width: 390, height: 844 }, serviceWorkers: "block" as const },
  });
  const page = await context.newPage();
  if (url === ours) await openDemo(page);
  const client = await slowed(page, true);
  await client.send("Network.setExtraHTTPHeaders", { headers: { "accept-encoding": "gzip" } });
  const scripts = new Set<string>();
  let script = 0;
  client.on("Network.responseReceived", (e) => e.type === "Script" && scripts.add(e.requestId));
  client.on("Network.loadingFinished", (e) => {
    if (scripts.has(e.requestId)) script += e.encodedDataLength;
  });
  await page.addInitScript(watch);
  await page.goto(url);
  await page.getByText(text).first().waitFor();
  const seen = await page.evaluate(
    async ({ quiet, longest }) => {
      type Seen = { paint: number; tasks: { at: number; for: number }[] };
      const { seen: now } = window as unknown as { seen: Seen };
      const last = () => Math.max(now.paint, ...now.tasks.map((t) => t.at + t.for));
      while (performance.now() - last() < quiet && performance.now() < longest)
        await new Promise((next) => setTimeout(next, 100));
      return now;
    },
    { quiet: QUIET, longest: LONGEST },
  );
  await context.close();
  const blocking = seen.tasks.reduce((sum, t) => sum + Math.max(0, t.for - 50), 0);
  return { script, paint: seen.paint, blocking };
}

/** A second visit, kept on the device: from its beginning until *begin at* stands there, ms. */
async function secondVisit(browser: Browser): Promise<number> {
  const context = await browser.newContext({ baseURL: ours, viewport: { width: 390, height: 844 } });
  const page = await context.newPage();
  await openDemo(page);
  await page.goto(ours);
  await page
    .getByText(/Begin at/i)
    .first()
    .waitFor();
  // Everything is kept once the worker that keeps it has the page.
  await page.evaluate(() => navigator.serviceWorker.ready);
  await page.goto("about:blank");
  await slowed(page, false);
  await page.addInitScript(() => {
    type Early = { tonodromeEarly?: { sight: ShadowRoot | null } };
    // What was seen last stands in a root of its own.
    const texts = () => [
      document.body?.textContent,
      (window as unknown as Early).tonodromeEarly?.sight?.textContent,
    ];
    const look = () => {
      if (!texts().some((text) => /begin\sat/i.test(text ?? ""))) return requestAnimationFrame(look);
      // It stands there with the first frame that is painted after it was found.
      const found = performance.now();
      const tell = (list: PerformanceObserverEntryList) => {
        const painted = list.getEntries().find((e) => e.startTime >= found);
        if (painted) Object.assign(window, { stood: painted.startTime });
      };
      for (const type of ["paint", "largest-contentful-paint"])
        new PerformanceObserver(tell).observe({ type, buffered: true });
      return undefined;
    };
    look();
  });
  await page.goto(ours);
  const stood = await page.waitForFunction(() => (window as unknown as { stood?: number }).stood);
  const ms = Number(await stood.jsonValue());
  await context.close();
  return ms;
}

const median = (list: number[]) => list.toSorted((a, b) => a - b)[Math.floor(list.length / 2)] ?? Number.NaN;

const browser = await chromium.launch(launch);
const loads = { ours: [] as Load[], empty: [] as Load[] };
const second: number[] = [];
for (let turn = 0; turn < TURNS; turn++) {
  loads.empty.push(await load(browser, empty, "One line of text."));
  loads.ours.push(await load(browser, ours, "Ilse Marrow"));
  second.push(await secondVisit(browser));
}
console.log(`\nopening Today beside an empty application of the same packages, median of ${TURNS} by turns,`);
console.log(`  CPU ${SLOWDOWN} times slower, round trip ${NET.latency} ms`);
console.log(`  ${"".padEnd(36)}    Today    empty    times     aim`);
for (const [name, key, unit, aim] of [
  ["script, kB gzipped", "script", 1000, 1.35],
  ["largest paint, ms", "paint", 1, 1.3],
  ["blocking time, ms", "blocking", 1, 1.8],
] as const) {
  const [today, bare] = [loads.ours, loads.empty].map((of) => median(of.map((l) => l[key])) / unit) as [
    number,
    number,
  ];
  const figures = [today.toFixed(0), bare.toFixed(0), (today / bare).toFixed(2), aim.toFixed(2)];
  console.log(`  ${name.padEnd(36)}${figures.map((f) => f.padStart(9)).join("")}`);
}
console.log(
  `  a second visit until *begin at* stands there: ${median(second).toFixed(0)} ms (aim: at most 1,000)`,
);
await browser.close();
