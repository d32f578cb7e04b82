import { type FullJudgement, judgeFully } from "../checks/judge";
import { explanationOf } from "../fit/explain/explanation";
import { fitAt } from "../fit/fit";
import { profileAt } from "../fit/profile";
import type { Band } from "../forecast/answers/band";
import type { LANES } from "../forecast/answers/laneWords";
import type { StateAt } from "../forecast/answers/stateAt";
import { topUpLine } from "../forecast/answers/topUpLine";
import { curvesOf } from "../forecast/forecast";
import { PARAMETERS } from "../forecast/model/parameters";
import { surroundingsOf } from "../forecast/model/surroundings";
import { piecesOf } from "../forecast/piecesOf";
import { stateSentence } from "../forecast/stateLine";
import { idsFrom } from "../maths/idsFrom";
import { editedPlan, editedSetting } from "../plan/edit/editedPlan";
import type { Edit } from "../plan/planEdit";
import { wholeDay } from "../rewarm/wholeDay";
import { MINUTE_SECONDS } from "../time/units";
import { pathText } from "../words/fault";
import { type FitFile, judgedFile } from "./fitFile";

/** How somebody is at one moment, as it is printed: a word and a band for each. */
interface StateAnswer {
  atSeconds: number;
  warmth: Band & { word: string };
  sharpness: Band & { word: string };
  tiredness: Band & { word: string };
  /** Per cent of the athlete's own best. */
  readiness: Band;
}

/** The forecast as it is printed. Times in seconds from the start. */
export interface ForecastAnswer {
  line: string | null;
  sentence: string;
  atStart: StateAnswer;
  /** If the start slips by so much, everything before it being as planned. */
  delays: (StateAnswer & { delaySeconds: number; topUp: TopUpAnswer | null })[];
  peaks: Record<string, number | null>;
  bestWait: { fromSeconds: number; toSeconds: number; plannedIsNear: boolean } | null;
  curves: StateAnswer[];
  unknown: readonly string[];
  /** What every figure of the model rests on. */
  parameters: typeof PARAMETERS;
  note: string;
}

interface TopUpAnswer {
  beginSeconds: number;
  drills: { name: string; fromSeconds: number; toSeconds: number }[];
  isBack: boolean;
  words: string;
}

/** Points of the curves: every minute, over so long at the most. */
const MOST_POINTS = 240;
const AFTER = 2400;

export const NOTE = "For people in general. It plans time and gives no medical advice.";

function judged(file: FitFile): { judgement: FullJudgement; input: ReturnType<typeof judgedFile> } {
  const { plan, context, availableSeconds } = file;
  const fit = fitAt(profileAt(plan, context, availableSeconds), availableSeconds);
  const { culprit } = explanationOf(plan, context, availableSeconds);
  const input = judgedFile(file, fit, culprit);
  return { judgement: judgeFully(input, idsFrom(JSON.stringify(plan))), input };
}

/** Forecasts a file's plan. */
export function forecastAnswer(file: FitFile): ForecastAnswer {
  const { judgement, input } = judged(file);
  const { forecast, line, topUps } = judgement;
  const pieces = piecesOf(input.fit);
  const from = pieces[0]?.fromSeconds ?? 0;
  const step = MINUTE_SECONDS * Math.max(1, Math.ceil((AFTER - from) / MINUTE_SECONDS / MOST_POINTS));
  const times = Array.from({ length: Math.floor((AFTER - from) / step) + 1 }, (_, i) => from + i * step);
  return {
    line,
    sentence: line === null ? "Nothing is done, so there is nothing to forecast." : stateSentence(forecast),
    atStart: stateAnswer(forecast.atStart),
    delays: forecast.delays.map(({ delaySeconds, state }) => {
      const topUp = topUps.find((t) => t.delaySeconds === delaySeconds)?.topUp ?? null;
      return {
        delaySeconds,
        ...stateAnswer(state),
        topUp: topUp && {
          beginSeconds: topUp.beginSeconds,
          drills: topUp.steps.map(({ drill, fromSeconds, toSeconds }) => ({
            name: drill.name,
            fromSeconds,
            toSeconds,
          })),
          isBack: topUp.isBack,
          words: topUpLine(topUp),
        },
      };
    }),
    peaks: forecast.peaks,
    bestWait: forecast.best && { ...forecast.best.wait, plannedIsNear: forecast.best.isNear },
    curves: curvesOf(
      pieces,
      surroundingsOf(input.setting, input.athlete),
      times,
      wholeDay(input.before ?? [], pieces),
    ).map((c) => stateAnswer(c.state)),
    unknown: forecast.unknown,
    parameters: PARAMETERS,
    note: NOTE,
  };
}

function stateAnswer({ atSeconds, words, readiness, ...state }: StateAt): StateAnswer {
  const of = (lane: (typeof LANES)[number]) => ({ ...state[lane], word: words[lane].word });
  return {
    atSeconds,
    warmth: of("warmth"),
    sharpness: of("sharpness"),
    tiredness: of("tiredness"),
    readiness,
  };
}

/** One thing there is to say, as it is printed. */
export interface FindingAnswer {
  severity: string;
  code: string;
  path: string;
  drill: string | null;
  words: string;
  /** What mends it, tried; `--fix CODE` takes the first. */
  mends: string[];
}

/** Everything there is to say against a file's plan, gravest first. */
export function checkAnswer(file: FitFile): FindingAnswer[] {
  const { judgement } = judged(file);
  return judgement.findings.map(({ finding: { severity, code, where, itemId, words, mends } }) => ({
    severity,
    code,
    path: pathText(where),
    drill: file.plan.items.find((i) => i.id === itemId)?.name ?? null,
    words,
    mends: mends.map((m) => m.words),
  }));
}

/** The file with the first finding of a code mended, again and again until none of them can be; null when none could. */
export function fixedFile(file: FitFile, code: string): FitFile | null {
  let now = file;
  const makeId = idsFrom(JSON.stringify(file.plan));
  // Each round mends one finding, and a plan holds so many drills at the most.
  for (let round = 0; round <= file.plan.items.length; round++) {
    const edits = firstMend(now, code);
    if (!edits) break;
    now = { ...now, plan: editedPlan(now.plan, edits, makeId), setting: editedSetting(now.setting, edits) };
  }
  return now === file ? null : now;
}

function firstMend(file: FitFile, code: string): readonly Edit[] | null {
  const { findings } = judged(file).judgement;
  return (
    findings.find((f) => f.finding.code === code && f.finding.mends.length > 0)?.finding.mends[0]?.edits ??
    null
  );
}
