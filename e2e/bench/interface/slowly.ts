import type { Page } from "@playwright/test";

/** How many times slower than this machine a phone is. */
export const SLOWDOWN = 4;

/** Has the page's own script and drawing slowed down for as long as something takes. */
export async function slowly<T>(page: Page, act: () => Promise<T>, rate = SLOWDOWN): Promise<T> {
  const client = await page.context().newCDPSession(page);
  await client.send("Emulation.setCPUThrottlingRate", { rate });
  try {
    return await act();
  } finally {
    await client.send("Emulation.setCPUThrottlingRate", { rate: 1 });
    await client.detach();
  }
}
