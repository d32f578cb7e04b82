import type { FitContext, PlanBody, RunPlan, RunState } from "@tonodrome/core";
import {
  type Explanation,
  explanationOf,
  type ProfileTable,
  profileTable,
  type Refit,
  refitRun,
  type Trade,
  tableAt,
  tradeFor,
} from "@tonodrome/core/fitting";

/** A plan and its day, of which something is asked. */
interface OfPlan {
  plan: PlanBody;
  context: FitContext;
}

/** What may be asked of the worker. */
export type FitAsk =
  | (OfPlan & { kind: "every-time"; horizonSeconds: number })
  | (OfPlan & { kind: "one-time"; seconds: number })
  | (OfPlan & { kind: "explanation"; seconds: number })
  | (OfPlan & { kind: "trade"; seconds: number; itemId: string })
  | { kind: "refit"; run: RunPlan; state: RunState; now: number };

/** What each is answered with. */
export interface FitAnswers {
  /** Null when it would take too long: each time then has to be asked for by itself. */
  "every-time": ProfileTable | null;
  "one-time": ProfileTable;
  explanation: Explanation;
  trade: Trade | null;
  /** Null when there is nothing to fit. */
  refit: Refit | null;
}

/** How far it is, from 0 to 1, and in the end the answer; or that there is none. */
export type FitMessage = { progress: number } | { answer: FitAnswers[keyof FitAnswers] } | { failed: true };

/** What is answered within this is not worth telling how far it is, ms. */
const SOON = 100;
/** Nor is less than a tenth more. */
const NOTABLE = 0.1;

const say = (message: FitMessage) => self.postMessage(message);

/** Tells how far one answer is. */
function teller(): (progress: number) => void {
  const since = performance.now();
  let said = 0;
  return (progress) => {
    if (progress < said + NOTABLE || performance.now() - since < SOON) return;
    said = progress;
    say({ progress });
  };
}

function answerTo(ask: FitAsk): FitAnswers[keyof FitAnswers] {
  if (ask.kind === "refit") return refitRun(ask.run, ask.state, ask.now);
  const { plan, context } = ask;
  switch (ask.kind) {
    case "every-time":
      return profileTable(plan, context, ask.horizonSeconds, teller());
    case "one-time":
      return tableAt(plan, context, ask.seconds, teller());
    case "explanation":
      return explanationOf(plan, context, ask.seconds);
    case "trade":
      return tradeFor(plan, context, ask.seconds, ask.itemId);
  }
}

self.onmessage = ({ data }: MessageEvent<FitAsk>) => {
  try {
    say({ answer: answerTo(data) });
  } catch (error) {
    console.error(error);
    say({ failed: true });
  }
};
