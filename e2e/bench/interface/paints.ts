import type { Page } from "@playwright/test";

/** What the page under the bench has for its measuring. */
export interface Measured {
  /** Tells in the first task after the next frame; all that wait for the same frame are told by the same task. */
  afterPaint: (then: () => void) => void;
  /** Milliseconds, by what was measured. */
  times: Record<string, number[]>;
}

/** Gives a page what is measured with. */
export async function measurePaints(page: Page): Promise<void> {
  // The loader names functions by a helper that the page does not have.
  await page.evaluate("globalThis.__name = (f) => f");
  await page.evaluate(() => {
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
    Object.assign(window, { afterPaint, times: {} });
  });
}

/** What was measured on it. */
export const timesOf = (page: Page): Promise<Measured["times"]> =>
  page.evaluate(() => (window as unknown as Measured).times);
