/*
 * Who sends when: of several tabs one, and of one tab a few at a time.
 */

let busy = 0;
const waiting: (() => void)[] = [];

/**
 * Does something when it is its turn.
 * @param name of which one goes on at a time, in all tabs of this device
 * @param most how many go on at a time in this tab
 * @returns false where another tab is at it
 */
export async function inTurn(name: string, most: number, act: () => Promise<void>): Promise<boolean> {
  if (busy >= most) await new Promise<void>((go) => waiting.push(go));
  busy++;
  try {
    const locks = typeof navigator === "undefined" ? undefined : navigator.locks;
    if (!locks) {
      await act();
      return true;
    }
    return await locks.request(`tonodrome ${name}`, { ifAvailable: true }, async (lock) => {
      if (lock) await act();
      return lock !== null;
    });
  } finally {
    busy--;
    waiting.shift()?.();
  }
}
