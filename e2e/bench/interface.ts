// What a coach feels, measured in Chromium against the real server: the slider's input to paint at a CPU slowed down
// four times with thirty drills, and opening a warm-up of sixty. `npm run bench`.
import { type Browser, chromium, type Page } from "@playwright/test";
import { benchPlan } from "../../core/bench/plans";
import { chromium as launch } from "../browser";
import { clubApi, openDemo } from "../coach";

const base = process.env.BENCH_URL as string;
const SLOWDOWN = 4;
const FRAME = 1000 / 60;

/** Asks about the demo club, as whoever the page is signed in as. */
async function ask(page: Page, method: string, path: string, data: object) {
  const answer = await page.request.fetch(`${await clubApi(page)}${path}`, { method, data });
  if (!answer.ok()) throw new Error(`${path}: ${await answer.text()}`);
  return (await answer.json()) as { id: string; plan: { id: string } };
}

/** A start two hours from now whose warm-up has so many drills. */
async function startOf(page: Page, drills: number): Promise<string> {
  const athlete = await ask(page, "POST", "/athletes", { name: `Bench ${drills}` });
  const startsAt = Date.now() + 7_200_000;
  const start = await ask(page, "POST", "/starts", {
    athleteId: athlete.id,
    title: "Bench",
    venue: "",
    zone: "UTC",
    startsAt: new Date(startsAt).toISOString(),
    readyAt: new Date(startsAt - 3_600_000).toISOString(),
  });
  await ask(page, "PUT", `/plans/${start.plan.id}`, { version: 1, body: benchPlan(drills) });
  return start.id;
}

/** A slider and its number, and nothing else: the least that a browser needs on this machine. */
const LEAST = `<input type="range" style="width:360px"><b id="n">1</b>`;

/** The same with thirty plain strips that plain script writes over with every input. */
const BARE = `${LEAST}${'<div style="background:#dec9da;margin:3px;min-height:52px;display:flex"><b class="t">0</b><span style="flex:1">Name of a drill</span><b class="t">0</b></div>'.repeat(
  30,
)}`;

/** How wide the handle is, pixels. */
const HANDLE = 44;

interface Drag {
  finger: number[];
  rise: number[];
  stair: number[];
}

/** The slider is drawn to and fro; per input the time until the finger's own frame, the rise's and the stair's are painted. */
async function drag(page: Page): Promise<Drag> {
  const box = await page.locator("input[type=range]").boundingBox();
  if (!box) throw new Error("There is no slider on the screen.");
  // The loader names functions by a helper that the page does not have.
  await page.evaluate("globalThis.__name = (f) => f");
  await page.evaluate(() => {
    const times = { finger: [] as number[], rise: [] as number[], stair: [] as number[] };
    Object.assign(window, { times });
    // From now to the first task after the next frame; what waits for the same frame is told by the same task.
    let waiting: (() => void)[] = [];
    const afterPaint = (then: () => void) => {
      waiting.push(then);
      if (waiting.length > 1) return;
      requestAnimationFrame(() => {
        const painted = waiting;
        waiting = [];
        const channel = new MessageChannel();
        channel.port1.onmessage = () => {
          for (const tell of painted) tell();
        };
        channel.port2.postMessage(null);
      });
    };
    // What each of them has not painted yet.
    const began = { rise: 0, stair: 0 };
    const input = () => {
      const mine = performance.now();
      began.rise = began.stair = mine;
      afterPaint(() => times.finger.push(performance.now() - mine));
    };
    document.addEventListener("input", input, true);
    const watch = (what: "rise" | "stair", part: string) => {
      const changed = new MutationObserver(() => {
        const mine = began[what];
        if (mine === 0) return;
        began[what] = 0;
        afterPaint(() => times[what].push(performance.now() - mine));
      });
      const all = { subtree: true, childList: true, characterData: true, attributes: true };
      for (const found of document.querySelectorAll(part)) changed.observe(found, all);
    };
    watch("rise", ".rise-line");
    watch("stair", "[data-testid=stair]");
  });
  const client = await page.context().newCDPSession(page);
  await client.send("Emulation.setCPUThrottlingRate", { rate: SLOWDOWN });
  // It is taken by its handle, wherever that stands.
  const share = await page.locator("input[type=range]").evaluate((e: HTMLInputElement) => {
    const [least, most] = [Number(e.min || 0), Number(e.max || 100)];
    const from = (Number(e.value) - least) / (most - least);
    return getComputedStyle(e).direction === "rtl" ? 1 - from : from;
  });
  const y = box.y + Math.min(10, box.height / 2);
  await page.mouse.move(box.x + HANDLE / 2 + share * (box.width - HANDLE), y);
  await page.mouse.down();
  for (let i = 0; i < 160; i++) {
    await page.mouse.move(box.x + box.width * (0.36 + 0.3 * Math.cos(i / 12)), y);
    await page.waitForTimeout(50);
  }
  await page.mouse.up();
  await client.send("Emulation.setCPUThrottlingRate", { rate: 1 });
  return page.evaluate(() => (window as unknown as { times: Drag }).times);
}

/** From the press on Today, where the data is, until every strip of a long warm-up is painted, several times over. */
async function opening(page: Page, drills: number, slowdown: number): Promise<number[]> {
  await startOf(page, drills);
  await page.goto(base);
  const client = await page.context().newCDPSession(page);
  const link = page
    .getByRole("group", { name: new RegExp(`^Bench ${drills},`) })
    .getByRole("link")
    .first();
  const times: number[] = [];
  for (let i = 0; i < 8; i++) {
    await link.waitFor();
    await page.evaluate("globalThis.__name = (f) => f");
    await page.evaluate((many) => {
      const opened = new Promise<number>((done) => {
        document.addEventListener(
          "click",
          () => {
            const began = performance.now();
            const look = () => {
              if (document.querySelectorAll("[data-testid=stair] li").length < many)
                return requestAnimationFrame(look);
              const channel = new MessageChannel();
              channel.port1.onmessage = () => done(performance.now() - began);
              return requestAnimationFrame(() => channel.port2.postMessage(null));
            };
            look();
          },
          { capture: true, once: true },
        );
      });
      Object.assign(window, { opened });
    }, drills);
    await client.send("Emulation.setCPUThrottlingRate", { rate: slowdown });
    await link.click();
    times.push(await page.evaluate(() => (window as unknown as { opened: Promise<number> }).opened));
    await client.send("Emulation.setCPUThrottlingRate", { rate: 1 });
    await page.getByRole("button", { name: "Back" }).click();
  }
  // The first opening loads the screen's own code as well.
  return times.slice(1);
}

/** From a press to the frame that shows what it did, over and over. @param names of what is pressed, by turns */
async function pressing(page: Page, names: readonly string[]): Promise<number[]> {
  await page.evaluate("globalThis.__name = (f) => f");
  await page.evaluate(() => {
    const times: number[] = [];
    Object.assign(window, { times });
    document.addEventListener(
      "click",
      () => {
        const began = performance.now();
        const watch = new MutationObserver(() => {
          watch.disconnect();
          requestAnimationFrame(() => {
            const channel = new MessageChannel();
            channel.port1.onmessage = () => times.push(performance.now() - began);
            channel.port2.postMessage(null);
          });
        });
        watch.observe(document.body, {
          subtree: true,
          childList: true,
          characterData: true,
          attributes: true,
        });
      },
      true,
    );
  });
  const client = await page.context().newCDPSession(page);
  await client.send("Emulation.setCPUThrottlingRate", { rate: SLOWDOWN });
  for (let i = 0; i < 60; i++) {
    const box = await page.getByRole("button", { name: names[i % names.length] }).boundingBox();
    if (!box) throw new Error("There is nothing to press.");
    // As a finger does: nobody asks the page what lies there.
    await page.mouse.click(box.x + box.width / 2, box.y + box.height / 2);
    await page.waitForTimeout(120);
  }
  await client.send("Emulation.setCPUThrottlingRate", { rate: 1 });
  return page.evaluate(() => (window as unknown as { times: number[] }).times);
}

/** Presses on the running screen of a start. */
async function pressingInRun(page: Page, startId: string): Promise<number[]> {
  await page.goto(`${base}/start/${startId}`);
  await page.getByRole("button", { name: "Run", exact: true }).click();
  await page.getByRole("button", { name: "Begin" }).click();
  await page.getByRole("timer").first().waitFor();
  return pressing(page, ["+30 s", "Undo"]);
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
    await page.goto(`${base}/start/${await startOf(page, 30)}`);
    await page.getByTestId("stair").waitFor();
    times[how].push(...(await drag(page)).stair);
    await context.close();
  }
  console.log(
    `\nthe stair re-fitted with forecast and checks and without, by turns (aim: 95 % at most 1.15 times)`,
  );
  console.log(row("without", times.without));
  console.log(row("with", times.with));
  console.log(
    `  with against without, 95 %: ${(share(times.with, 0.95) / share(times.without, 0.95)).toFixed(2)} times`,
  );
}

const browser = await chromium.launch(launch);
const page = await browser.newPage({ baseURL: base, viewport: { width: 390, height: 844 } });
await openDemo(page);

/** So long no more than that share of them took. */
function share(times: number[], part: number): number {
  const sorted = times.toSorted((x, y) => x - y);
  return sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * part))] ?? Number.NaN;
}

function row(name: string, times: number[]): string {
  const figures = [0.5, 0.95].map((part) => share(times, part).toFixed(1).padStart(8));
  return `  ${name.padEnd(44)}${String(times.length).padStart(7)}${figures.join("")}`;
}

/** A page without anything of ours. */
async function plain(content: string): Promise<number[]> {
  await page.goto("about:blank");
  await page.setContent(content);
  await page.evaluate(() => {
    const [range, number] = [document.querySelector("input"), document.querySelector("#n")];
    range?.addEventListener("input", () => {
      if (number) number.textContent = range.value;
      for (const text of document.querySelectorAll(".t")) text.textContent = range.value;
    });
  });
  return (await drag(page)).finger;
}

/** A press that writes over thirty plain strips. */
async function plainPress(): Promise<number[]> {
  await page.goto("about:blank");
  await page.setContent(`<button style="width:200px;height:64px">Press</button>${BARE}`);
  await page.evaluate(() => {
    let many = 0;
    document.querySelector("button")?.addEventListener("click", () => {
      many++;
      for (const text of document.querySelectorAll(".t")) text.textContent = String(many);
    });
  });
  return pressing(page, ["Press"]);
}

const barePress = await plainPress();
const least = await plain(LEAST);
const bare = await plain(BARE);
await page.goto(`${base}/start/${await startOf(page, 30)}`);
await page.getByTestId("stair").waitFor();
const ours = await drag(page);
console.log(
  `\nslider, 30 drills, CPU ${SLOWDOWN} times slower, input to paint, ms (one frame is ${FRAME.toFixed(1)})`,
);
console.log(`  ${"".padEnd(44)} inputs  median    95 %`);
console.log(row("finger, number and rise", ours.finger));
console.log(row("the rise re-fitted", ours.rise));
console.log(row("the stair re-fitted", ours.stair));
console.log(row("bare page, a slider and its number", least));
console.log(row("bare page, 30 plain strips besides", bare));
const times = (a: number[], b: number[]) => [0.5, 0.95].map((s) => (share(a, s) / share(b, s)).toFixed(2));
console.log(`  rise against the 30 plain strips: ${times(ours.rise, bare).join(", ")} times`);
console.log(`  stair against the 30 plain strips: ${times(ours.stair, bare).join(", ")} times`);
await judging(browser);
console.log("\nopening a warm-up of 60 drills, press to every strip painted, ms (aim: below 300)");
console.log(row("this machine", await opening(page, 60, 1)));
console.log(row(`CPU ${SLOWDOWN} times slower`, await opening(page, 61, SLOWDOWN)));
console.log(
  `\nthe run, press to paint, CPU ${SLOWDOWN} times slower, ms (aim: 95 % at most 1.5 times the bare page)`,
);
const inRun = await pressingInRun(page, await startOf(page, 60));
console.log(row("+30 s and undo, 60 drills", inRun));
console.log(row("bare page, 30 plain strips", barePress));
console.log(`  run against bare page: ${times(inRun, barePress).join(", ")} times`);
await browser.close();
