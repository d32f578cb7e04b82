import {
  type Conditions,
  contextOf,
  type DayOf,
  type EventType,
  type Fit,
  type FitContext,
  idsFrom,
  type PlanBody,
  type RunPlan,
  type RunState,
} from "@tonodrome/core";
import { type Filled, type FillOrder, type FillPreview, fillOrdered, previewsOf } from "@tonodrome/core/fill";
import {
  type Explanation,
  explanationOf,
  fitAt,
  type ProfileTable,
  profileAt,
  profileTable,
  type Refit,
  refitRun,
  type Trade,
  tableAt,
  tradeFor,
} from "@tonodrome/core/fitting";
import {
  type CurvePoint,
  curvesOf,
  type DoneBefore,
  doneIn,
  type FullJudgement,
  type Glance,
  type GlanceOf,
  glanceOf,
  type JudgeInput,
  type Judgement,
  judge,
  judgeFully,
  type MendedDay,
  piecesOf,
  type RunForecast,
  runForecast,
  runTopUp,
  type ShelfContent,
  stateLineOf,
  surroundingsOf,
  type Training,
  wholeDay,
} from "@tonodrome/core/judge";
import { v4 as uuid } from "uuid";

/** A plan and its day, of which something is asked. */
interface OfPlan {
  plan: PlanBody;
  context: FitContext;
}

/** A start of the same athlete earlier on the day, with its plan. */
export interface StartBefore {
  title: string;
  plan: PlanBody;
  day: DayOf;
  event: EventType | null;
  /** Time available, whole seconds. */
  seconds: number;
  /** Seconds from it to the later start. */
  agoSeconds: number;
}

/** What may be asked of the worker. */
export type FitAsk =
  | (OfPlan & { kind: "every-time"; horizonSeconds: number })
  | (OfPlan & { kind: "one-time"; seconds: number })
  | (OfPlan & { kind: "explanation"; seconds: number })
  | (OfPlan & { kind: "trade"; seconds: number; itemId: string })
  | { kind: "judge"; input: JudgeInput }
  | { kind: "judge-fully"; input: JudgeInput; day: MendedDay | null }
  | { kind: "glance"; start: Omit<GlanceOf, "before">; before: readonly StartBefore[] }
  | { kind: "done-before"; starts: readonly StartBefore[] }
  | {
      kind: "state";
      fit: Fit;
      conditions: Conditions;
      training: Training | null;
      before: readonly DoneBefore[];
    }
  | {
      kind: "curves";
      input: Pick<JudgeInput, "fit" | "setting" | "athlete" | "before">;
      times: readonly number[];
    }
  | { kind: "fill"; order: FillOrder }
  | {
      kind: "fill-previews";
      order: Omit<FillOrder, "approach">;
      approaches: readonly FillOrder["approach"][];
    }
  | { kind: "run-forecast"; plan: RunPlan; state: RunState; now: number }
  | { kind: "refit"; run: RunPlan; state: RunState; now: number; drills: readonly ShelfContent[] };

/** What each is answered with. */
export interface FitAnswers {
  /** Null when it would take too long: each time then has to be asked for by itself. */
  "every-time": ProfileTable | null;
  "one-time": ProfileTable;
  explanation: Explanation;
  trade: Trade | null;
  judge: Judgement;
  "judge-fully": FullJudgement;
  glance: Glance;
  "done-before": DoneBefore[];
  /** Null where nothing is done. */
  state: string | null;
  curves: CurvePoint[];
  fill: Filled;
  "fill-previews": FillPreview[];
  "run-forecast": RunForecast;
  /** Null when there is nothing to fit. */
  refit: Refit | null;
}

/** How far it is, from 0 to 1, and in the end the answer; or that there is none. */
export type FitMessage = { progress: number } | { answer: FitAnswers[keyof FitAnswers] } | { failed: true };

/** What is answered within this is not worth telling how far it is, ms. */
const QUICK_MS = 100;
/** Nor is less than a tenth more. */
const NOTABLE = 0.1;

const say = (message: FitMessage) => self.postMessage(message);

/** Tells how far one answer is. */
function teller(): (progress: number) => void {
  const since = performance.now();
  let said = 0;
  return (progress) => {
    if (progress < said + NOTABLE || performance.now() - since < QUICK_MS) return;
    said = progress;
    say({ progress });
  };
}

function answerTo(ask: FitAsk): FitAnswers[keyof FitAnswers] {
  switch (ask.kind) {
    case "refit":
      return refitOrTopUp(ask);
    case "run-forecast":
      return runForecast(ask.plan, ask.state, ask.now);
    case "fill":
      return fillOrdered(ask.order, uuid);
    case "fill-previews":
      return previewsOf(ask.order, ask.approaches);
    case "judge":
      return judge(ask.input);
    case "judge-fully":
      // Ids of what is only tried: whoever applies a mend makes their own.
      return judgeFully(ask.input, idsFrom("trial"), ask.day);
    case "glance":
      return glanceOf({ ...ask.start, before: doneInStarts(ask.before) });
    case "done-before":
      return doneInStarts(ask.starts);
    case "state":
      return stateLineOf(ask.fit, ask.conditions, ask.training, ask.before);
    case "curves": {
      const { fit, setting, athlete, before = [] } = ask.input;
      const pieces = piecesOf(fit);
      return curvesOf(pieces, surroundingsOf(setting, athlete), ask.times, wholeDay(before, pieces));
    }
    default:
      return answerOfPlan(ask);
  }
}

const doneInStarts = (starts: readonly StartBefore[]) =>
  doneIn(
    starts.map(({ plan, day, seconds, ...of }) => ({
      ...of,
      fit: fitAt(profileAt(plan, contextOf(day), seconds), seconds),
    })),
  );

/** The rest fitted anew; where nothing is left to do and the start has slipped, what brings them back to being ready. */
function refitOrTopUp({ run, state, now, drills }: Extract<FitAsk, { kind: "refit" }>): Refit | null {
  const refit = refitRun(run, state, now);
  if (refit?.changesDrills) return refit;
  return runTopUp(run, state, now, drills, uuid) ?? refit;
}

function answerOfPlan(ask: Extract<FitAsk, OfPlan>): FitAnswers[keyof FitAnswers] {
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
