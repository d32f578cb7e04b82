import type { FitAnswers, FitAsk, FitMessage } from "./fitWorker";
import { newFitWorker } from "./newFitWorker";

/** Workers that are free; one that is busy with what nobody waits for any more is ended. */
const idle: Worker[] = [];

/** As many are kept ready, what a warm-up asks at once: starting one takes longer than most answers. */
const KEPT = 3;

export interface Listening<Answer> {
  /** Told how far it is, from 0 to 1. */
  onProgress?: (progress: number) => void;
  onAnswer: (answer: Answer) => void;
  /** Told, in a sentence to show, when there will be no answer: the worker broke, or could not be loaded. */
  onFailure: (sentence: string) => void;
}

/** What is said when a question gets no answer, and what to do about it. */
const NO_ANSWER: Record<FitAsk["kind"], string> = {
  "every-time": "Other times could not be fitted. Change something, or open this again.",
  "one-time":
    "The best within the limits could not be found: what you see passes one. Try again in a moment.",
  explanation: "The reason could not be worked out. Change the time or a drill to try again.",
  trade: "What could be swapped out could not be worked out. Try again.",
  judge: "It could not be judged. Change something to try again.",
  "judge-fully": "How to fix it could not be worked out. Close this and open it again.",
  glance: "It could not be fitted. Open it to try again.",
  "done-before":
    "What carries over from the start before could not be worked out: this one is judged as a first.",
  state: "The state at the start could not be forecast.",
  curves: "The forecast could not be drawn. Close this and open it again.",
  fill: "It could not be filled. Try again, or another approach.",
  "fill-previews": "What each approach would give could not be worked out. Each can be filled all the same.",
  "run-forecast": "How long they stay warm could not be forecast.",
  refit: "The rest could not be fitted anew. It goes on as it is.",
};

/**
 * Has something about a fit computed in a worker, so that the page stays free for the finger.
 * @returns what calls it off
 */
export function askFit<Kind extends FitAsk["kind"]>(
  ask: Extract<FitAsk, { kind: Kind }>,
  { onProgress, onAnswer, onFailure }: Listening<FitAnswers[Kind]>,
): () => void {
  const busy = idle.pop() ?? newFitWorker();
  let over = false;
  const fail = () => {
    if (over) return;
    over = true;
    busy.terminate();
    onFailure(NO_ANSWER[ask.kind]);
  };
  busy.onerror = (event) => {
    event.preventDefault();
    fail();
  };
  busy.onmessageerror = fail;
  busy.onmessage = ({ data }: MessageEvent<FitMessage>) => {
    if (over) return;
    if ("progress" in data) {
      onProgress?.(data.progress);
      return;
    }
    if ("failed" in data) {
      fail();
      return;
    }
    over = true;
    if (idle.length < KEPT) idle.push(busy);
    else busy.terminate();
    onAnswer(data.answer as FitAnswers[Kind]);
  };
  busy.postMessage(ask);
  return () => {
    if (over) return;
    over = true;
    busy.terminate();
  };
}
