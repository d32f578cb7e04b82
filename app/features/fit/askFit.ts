import type { FitAnswers, FitAsk, FitMessage } from "./fitWorker";

/** Workers that are free; one that is busy with what nobody waits for any more is ended. */
const idle: Worker[] = [];

/** As many are kept ready: starting one takes longer than most answers. */
const KEPT = 2;

interface Listening<Answer> {
  /** Told how far it is, from 0 to 1. */
  onShare?: (share: number) => void;
  onAnswer: (answer: Answer) => void;
}

/**
 * Has something about a fit reckoned in a worker, so that the page stays free for the finger.
 * @returns what calls it off
 */
export function askFit<Kind extends FitAsk["kind"]>(
  ask: Extract<FitAsk, { kind: Kind }>,
  { onShare, onAnswer }: Listening<FitAnswers[Kind]>,
): () => void {
  const busy = idle.pop() ?? new Worker(new URL("./fitWorker", import.meta.url));
  let over = false;
  busy.onmessage = ({ data }: MessageEvent<FitMessage>) => {
    if ("share" in data) {
      onShare?.(data.share);
      return;
    }
    over = true;
    if (idle.length < KEPT) idle.push(busy);
    else busy.terminate();
    onAnswer(data.answer as FitAnswers[Kind]);
  };
  busy.postMessage(ask);
  return () => {
    if (!over) busy.terminate();
  };
}
