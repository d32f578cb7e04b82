// What a coach feels, measured in Chromium against the real server: the slider's input to paint at a CPU slowed down
// four times with thirty drills, and what the first load of Today weighs. `npm run bench`.
import { type Browser, chromium, type Page } from "@playwright/test";
import { benchPlan } from "../../core/bench/plans";
import { chromium as launch } from "../browser";

const base = process.env.BENCH_URL as string;
const SLOWDOWN = 4;
const FRAME = 1000 / 60;

async function ask(method: string, path: string, body: object): Promise<{ id: string; plan: { id: string } }> {
  const headers = { "content-type": "application/json" };
  const answer = await fetch(`${base}/api${path}`, { method, headers, body: JSON.stringify(body) });
  if (!answer.ok) throw new Error(`${path}: ${await answer.text()}`);
  return (await answer.json()) as { id: string; plan: { id: string } };
}

/** A start two hours from now whose warm-up has thirty drills. */
async function thirtyDrills(): Promise<string> {
  const athlete = await ask("POST", "/athletes", { name: "Bench" });
  const startsAt = Date.now() + 7_200_000;
  const start = await ask("POST", "/starts", {
    athleteId: athlete.id,
    title: "Bench",
    venue: "",
    zone: "UTC",
    startsAt: new Date(startsAt).toISOString(),
    readyAt: new Date(startsAt - 3_600_000).toISOString(),
  });
  await ask("PUT", `/plans/${start.plan.id}`, { version: 1, body: benchPlan(30) });
  return start.id;
}

async function slider(page: Page, id: string): Promise<number[]> {
  await page.goto(`${base}/start/${id}`);
  const range = page.getByRole("slider");
  const box = await range.boundingBox();
  if (!box) throw new Error("There is no slider on the screen.");
  await page.evaluate(() => {
    const took: number[] = [];
    Object.assign(window, { took });
    // From the input event to the first task after the frame that shows it.
    document.addEventListener(
      "input",
      () => {
        const began = performance.now();
        requestAnimationFrame(() => {
          const channel = new MessageChannel();
          channel.port1.onmessage = () => took.push(performance.now() - began);
          channel.port2.postMessage(null);
        });
      },
      true,
    );
  });
  const client = await page.context().newCDPSession(page);
  await client.send("Emulation.setCPUThrottlingRate", { rate: SLOWDOWN });
  const y = box.y + box.height / 2;
  await page.mouse.move(box.x + box.width * 0.66, y);
  await page.mouse.down();
  for (let i = 0; i < 120; i++) {
    const share = 0.36 + 0.3 * Math.cos(i / 12);
    await page.mouse.move(box.x + box.width * share, y);
    await page.waitForTimeout(40);
  }
  await page.mouse.up();
  return page.evaluate(() => (window as unknown as { took: number[] }).took);
}

async function firstLoad(browser: Browser): Promise<number> {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
  const page = await context.newPage();
  const client = await context.newCDPSession(page);
  await client.send("Network.enable");
  await client.send("Network.setExtraHTTPHeaders", { headers: { "accept-encoding": "gzip" } });
  const scripts = new Set<string>();
  let bytes = 0;
  client.on("Network.responseReceived", (e) => e.type === "Script" && scripts.add(e.requestId));
  client.on("Network.loadingFinished", (e) => {
    if (scripts.has(e.requestId)) bytes += e.encodedDataLength;
  });
  await page.goto(base);
  await page.getByText("Ilse Marrow").first().waitFor();
  await context.close();
  return bytes;
}

const browser = await chromium.launch(launch);
const page = await browser.newPage({ viewport: { width: 390, height: 844 } });
const took = (await slider(page, await thirtyDrills())).sort((a, b) => a - b);
const at = (share: number) => (took[Math.min(took.length - 1, Math.floor(took.length * share))] ?? Number.NaN).toFixed(1);
console.log(`\nslider, 30 drills, CPU ${SLOWDOWN} times slower, input to paint, ms (one frame is ${FRAME.toFixed(1)})`);
console.log(`  ${took.length} inputs   median ${at(0.5)}   95th percentile ${at(0.95)}   worst ${at(1)}`);
const bytes = await firstLoad(browser);
console.log(`\nfirst load of Today: ${(bytes / 1000).toFixed(0)} kB of JavaScript, gzipped (aim: at most 450)`);
await browser.close();
