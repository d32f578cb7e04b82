import { createStore, useStore } from "zustand";

/** Whether the server answered when it was last asked. */
const store = createStore(() => ({ isReached: true }));

/** Notes how the last question went. */
export function heard(isReached: boolean): void {
  if (store.getState().isReached !== isReached) store.setState({ isReached });
}

// The device knows at once that it has lost its network; that it has it again, the next answer tells.
window.addEventListener("offline", () => heard(false));

/** Whether the server is in reach, as far as anybody has asked. */
export const useReached = (): boolean => useStore(store, ({ isReached }) => isReached);
