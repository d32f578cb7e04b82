import { createStore } from "zustand/vanilla";

/** Whether the server answered when it was last asked. */
export const reach = createStore(() => ({ isReached: true }));

/** Notes how the last question went; an answer that was on its way when the network went is no network. */
export function heard(isAnswered: boolean): void {
  const isReached = isAnswered && navigator.onLine !== false;
  if (reach.getState().isReached !== isReached) reach.setState({ isReached });
}

// The device knows at once that it has lost its network; that it has it again, the next answer tells.
window.addEventListener("offline", () => heard(false));
