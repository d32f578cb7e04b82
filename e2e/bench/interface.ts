// What a coach feels, measured in Chromium against the real server at a CPU slowed down four times, beside bare pages in the same
// run: the slider's input to paint with thirty drills, opening a warm-up of sixty, presses of a run. `npm run bench`.
import { type Browser, chromium, type Page } from "@playwright/test";
import { chromium as launch } from "../browser";
import { openDemo } from "../coach";
import { dragBare, LEAST, pressBare, STRIPS } from "./interface/barePages";
import { drag } from "./interface/drag";
import { against, row } from "./interface/figures";
import { open } from "./interface/open";
import { press } from "./interface/press";
import { SLOWDOWN } from "./interface/slowly";
import { startOf } from "./interface/startOf";

const base = process.env.BENCH_URL as string;
const FRAME = 1000 / 60;

/** The slider of a warm-up of thirty drills. */
async function dragWarmUp(page: Page) {
  await page.goto(`${base}/start/${await startOf(page, 30)}`);
  await page.getByTestId("stair").waitFor();
  return drag(page);
}

/** Presses on the running screen of sixty. */
async function pressInRun(page: Page): Promise<number[]> {
  await page.goto(`${base}/start/${await startOf(page, 60)}`);
  await page.getByRole("button", { name: "Run", exact: true }).click();
  await page.getByRole("button", { name: "Begin" }).click();
  await page.getByRole("timer").first().waitFor();
  return press(page, ["+30 s", "Undo"]);
}

/** The slider with and without judging, by turns on the same machine: what workers are asked to judge is kept from them. */
async function judging(browser: Browser): Promise<void> {
  const times = { with: [] as number[], without: [] as number[] };
  for (const how of ["without", "with", "without", "with"] as const) {
    const context = await browser.newContext({ baseURL: base, viewport: { width: 390, height: 844 } });
    const page = await context.newPage();
    if (how === "without")
      await page.addInitScript(() => {
        const post = Worker.prototype.postMessage;
        Worker.prototype.postMessage = function (this: Worker, message: unknown, ...more: unknown[]) {
          const { kind } = message as { kind?: string };
          if (kind === "judge" || kind === "state") return;
          (post as (...all: unknown[]) => void).call(this, message, ...more);
        } as Worker["postMessage"];
      });
    await openDemo(page);
    times[how].push(...(await dragWarmUp(page)).stair);
    await context.close();
  }
  console.log(
    `\nthe stair re-fitted with forecast and checks and without, by turns (aim: 95 % at most 1.15 times)`,
  );
  console.log(row("without", times.without));
  console.log(row("with", times.with));
  console.log(`  with against without: ${against(times.with, times.without)} times`);
}

const browser = await chromium.launch(launch);
const page = await browser.newPage({ baseURL: base, viewport: { width: 390, height: 844 } });
await openDemo(page);
const bare = {
  press: await pressBare(page),
  least: await dragBare(page, LEAST),
  strips: await dragBare(page, STRIPS),
};
const ours = await dragWarmUp(page);
console.log(
  `\nslider, 30 drills, CPU ${SLOWDOWN} times slower, input to paint, ms (one frame is ${FRAME.toFixed(1)})`,
);
console.log(`  ${"".padEnd(44)} inputs  median    95 %`);
console.log(row("finger and number", ours.finger));
console.log(row("the rise re-fitted", ours.rise));
console.log(row("the stair re-fitted", ours.stair));
console.log(row("bare page, a slider and its number", bare.least));
console.log(row("bare page, 30 plain strips besides", bare.strips));
console.log(`  rise against the 30 plain strips: ${against(ours.rise, bare.strips)} times`);
console.log(`  stair against the 30 plain strips: ${against(ours.stair, bare.strips)} times`);
await judging(browser);
console.log("\nopening a warm-up of 60 drills, press to every strip painted, ms (aim: below 300)");
console.log(row("this machine", await open(page, base, 60, 1)));
console.log(row(`CPU ${SLOWDOWN} times slower`, await open(page, base, 61, SLOWDOWN)));
console.log(
  `\nthe run, press to paint, CPU ${SLOWDOWN} times slower, ms (aim: 95 % at most 1.5 times the bare page)`,
);
const presses = await pressInRun(page);
console.log(row("+30 s and undo, 60 drills", presses));
console.log(row("bare page, 30 plain strips", bare.press));
console.log(`  run against bare page: ${against(presses, bare.press)} times`);
await browser.close();
