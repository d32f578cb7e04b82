import { type Finding, fitTimeline, fitWord, formatLength, givenUpLine } from "@tonodrome/core";
import { memo, useMemo } from "react";
import { FindingsPress } from "~/features/judge/JudgementLine";
import type { RiseProps } from "~/features/rise/Rise";
import { RiseSlider } from "~/features/rise/RiseSlider";
import { type HeldFit, type ShownFit, useFitAfter, useFitUnder } from "~/features/warmup/model/useHeldFit";
import { Progress } from "~/ui/layout/Progress";
import { PlainButton } from "~/ui/PlainButton";
import { Unbroken } from "~/ui/Unbroken";
import { HeldState, type HeldStateProps } from "./HeldState";

interface DockProps {
  /** What is under the finger, and what everything goes by. */
  held: HeldFit;
  settled: ShownFit;
  mostMinutes: number;
  /** The largest step that the plan allows, points. */
  stepPoints: number;
  /** False until limits on totals are applied. */
  isBest: boolean;
  /** How far the worker is with it, or else with every other time, from 0 to 1; null while there is nothing to tell. */
  progress: number | null;
  /** Whether the best fit will not be known. */
  failed: boolean;
  /** Set when the start is nearer than the time chosen, seconds until it. */
  cappedBy: number | null;
  onExplain: () => void;
  /** When it is now, to the minute, seconds from the start; windows of places, marked on the line. */
  nowSeconds: number;
  windows: NonNullable<RiseProps["windows"]>;
  /** The drill that is chosen, and the press on its bar. */
  selectedId: string | null;
  onPick: (itemId: string) => void;
  /** What the forecast and the checks say; null while that is not known. */
  judgement: { line: string | null; open: readonly Finding[] } | null;
  /** What it is forecast by. */
  judgeInput: HeldStateProps["input"];
  onForecast: () => void;
  onFindings: () => void;
}

/** Time available under the thumb: the number and the state at the start, the rise, what was given up and what there is to look at. */
export const Dock = memo(function Dock({
  held,
  settled,
  mostMinutes,
  stepPoints,
  isBest,
  progress,
  failed,
  cappedBy,
  onExplain,
  nowSeconds,
  windows,
  selectedId,
  onPick,
  judgement,
  judgeInput,
  onForecast,
  onFindings,
}: DockProps) {
  const isJudged = judgement !== null && (judgement.line !== null || judgement.open.length > 0);
  return (
    <div className="relative">
      <Progress label={isBest ? "Every time available" : "This time available"} progress={progress} />
      <Finger
        {...{ held, settled, mostMinutes, stepPoints, isBest, progress, failed, cappedBy, judgeInput }}
        {...{ nowSeconds, windows, selectedId, onPick, onForecast }}
        judgement={judgement}
      />
      <div className="flex flex-wrap items-center gap-x-3" data-testid={isJudged ? "judgement" : undefined}>
        <GivenUpLine {...{ held, settled, stepPoints, onExplain }} />
        {isJudged ? <FindingsPress open={judgement.open} onPress={onFindings} /> : null}
      </div>
    </div>
  );
});

type FingerProps = Omit<DockProps, "onExplain" | "onFindings">;

const KNOWN = { isBest: true, progress: null, failed: false };

/** Height of the hardest effort in the dock, pixels. */
const HEIGHT = 64;

/** What moves with the finger in the same frame: the number, whether it fits, and the rise. */
function Finger(props: FingerProps) {
  const { mostMinutes, stepPoints, cappedBy, selectedId, onPick, nowSeconds, windows, onForecast } = props;
  const { isBest, progress, failed, held, settled, judgeInput, judgement } = props;
  const { minutes, fit } = useFitUnder(held, settled);
  const segments = useMemo(() => fitTimeline(fit), [fit]);
  // What the finger may look up is known.
  const word = fitWord(fit, stepPoints, fit === settled.fit ? { isBest, progress, failed } : KNOWN);
  return (
    <>
      <div className="flex flex-wrap items-center gap-x-3 text-ink">
        <div className="flex flex-1 items-baseline gap-2 whitespace-nowrap">
          <span className="font-figures text-figure tabular-nums">{minutes}</span>
          <span className="font-text text-body">
            min{cappedBy === null ? "" : `, only ${formatLength(cappedBy)} left`},{" "}
            <span role="status" className={fit.state === "fits" ? "font-text" : "font-strong"}>
              {word}
            </span>
          </span>
        </div>
        <HeldState {...{ held, settled, judgement }} input={judgeInput} onPress={onForecast} />
      </div>
      <RiseSlider
        minutes={minutes}
        mostMinutes={mostMinutes}
        words={`${minutes} min, ${word}`}
        segments={segments}
        height={HEIGHT}
        nowSeconds={nowSeconds}
        windows={windows}
        selectedId={selectedId}
        onPick={onPick}
        onTake={held.take}
        onMinutes={held.move}
        onLetGo={held.letGo}
      />
    </>
  );
}

function GivenUpLine({
  held,
  settled,
  stepPoints,
  onExplain,
}: Pick<DockProps, "held" | "settled" | "stepPoints" | "onExplain">) {
  const fit = useFitAfter(held, settled);
  return (
    <PlainButton
      aria-haspopup="dialog"
      onClick={onExplain}
      className="flex min-h-press min-w-[9rem] flex-1 cursor-pointer items-center border-0 bg-transparent p-0 text-left"
    >
      <span className="line-clamp-2 font-text text-small text-ink underline" data-testid="given-up">
        <Unbroken text={givenUpLine(fit, stepPoints)} />
      </span>
    </PlainButton>
  );
}
