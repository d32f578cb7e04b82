import { createStore, useStore } from "zustand";

/** Whether the server answered when it was last asked. */
const store = createStore(() => ({ isReached: true }));

/** Notes how the last question went; an answer that was on its way when the network went is no network. */
export function heard(isAnswered: boolean): void {
  const isReached = isAnswered && navigator.onLine !== false;
  if (store.getState().isReached !== isReached) store.setState({ isReached });
}

// The device knows at once that it has lost its network; that it has it again, the next answer tells.
window.addEventListener("offline", () => heard(false));

/** Whether the server is in reach, as far as anybody has asked. */
export const useReached = (): boolean => useStore(store, ({ isReached }) => isReached);
