import {
  type Finding,
  type Fit,
  fitTimeline,
  fitWord,
  formatLength,
  givenUpLine,
  type Segment,
} from "@tonodrome/core";
import { memo, useCallback, useEffect, useMemo, useState } from "react";
import { Pressable, Text, View } from "react-native";
import { FindingsPress, StatePress } from "~/features/judge/JudgementLine";
import type { RiseProps } from "~/features/rise/Rise";
import { RiseSlider } from "~/features/rise/RiseSlider";
import { useAfterPaint } from "~/ui/hooks/useAfterPaint";
import { Progress } from "~/ui/layout/Progress";
import { Unbroken } from "~/ui/Unbroken";

interface DockProps {
  minutes: number;
  mostMinutes: number;
  fit: Fit;
  /** The largest step that the plan allows, points. */
  stepPoints: number;
  /** False while limits on totals are still being reckoned with. */
  isBest: boolean;
  /** How far the worker is with it, or else with every other time, from 0 to 1; null while there is nothing to tell. */
  progress: number | null;
  /** Whether the best fit will not be known. */
  failed: boolean;
  /** Set when the start is nearer than the time chosen, seconds until it. */
  cappedBy: number | null;
  onMinutes: (minutes: number) => void;
  onExplain: () => void;
  /** When it is now, to the half minute, seconds from the start; windows of places, marked on the line. */
  nowSeconds: number;
  windows: NonNullable<RiseProps["windows"]>;
  /** The drill that is chosen, and the press on its bar. */
  selectedId: string | null;
  onPick: (itemId: string) => void;
  /** What the forecast and the checks say; null while that is not known. */
  judgement: { line: string | null; open: readonly Finding[] } | null;
  onForecast: () => void;
  onFindings: () => void;
}

/** Time available under the thumb: the number and the state at the start, the rise, what was given up and what there is to look at. */
export const Dock = memo(function Dock({
  minutes,
  mostMinutes,
  fit,
  stepPoints,
  isBest,
  progress,
  failed,
  cappedBy,
  onMinutes,
  onExplain,
  nowSeconds,
  windows,
  selectedId,
  onPick,
  judgement,
  onForecast,
  onFindings,
}: DockProps) {
  const isJudged = judgement !== null && (judgement.line !== null || judgement.open.length > 0);
  const segments = useMemo(() => fitTimeline(fit), [fit]);
  return (
    <div className="relative">
      <Progress label={isBest ? "Every time available" : "This time available"} progress={progress} />
      <Finger
        minutes={minutes}
        mostMinutes={mostMinutes}
        word={fitWord(fit, stepPoints, { isBest, progress, failed })}
        strong={fit.state !== "fits"}
        cappedBy={cappedBy}
        segments={segments}
        nowSeconds={nowSeconds}
        windows={windows}
        selectedId={selectedId}
        line={judgement?.line ?? null}
        onMinutes={onMinutes}
        onPick={onPick}
        onForecast={onForecast}
      />
      <View className="flex-row flex-wrap items-center gap-x-3" testID={isJudged ? "judgement" : undefined}>
        <View className="min-w-[11rem] flex-1">
          <GivenUpLine text={givenUpLine(fit, stepPoints)} onPress={onExplain} />
        </View>
        {isJudged ? <FindingsPress open={judgement.open} onPress={onFindings} /> : null}
      </View>
    </div>
  );
});

type FingerProps = Pick<
  DockProps,
  | "minutes"
  | "mostMinutes"
  | "cappedBy"
  | "onMinutes"
  | "nowSeconds"
  | "windows"
  | "selectedId"
  | "onPick"
  | "onForecast"
> & {
  line: string | null;
  word: string;
  strong: boolean;
  segments: readonly Segment[];
};

/** Height of the hardest effort in the dock, pixels. */
const HEIGHT = 64;

/** What moves with the finger in the same frame; everybody else hears of it when that is painted. */
function Finger(props: FingerProps) {
  const { minutes, mostMinutes, word, strong, cappedBy, onMinutes, segments, selectedId, onPick } = props;
  const { line, nowSeconds, windows, onForecast } = props;
  const [held, setHeld] = useState<number | null>(null);
  const tell = useAfterPaint(onMinutes);
  const change = useCallback(
    (value: number) => {
      setHeld(value);
      tell(value);
    },
    [tell],
  );
  // Once the value has come back from outside, what comes from outside counts again.
  useEffect(() => setHeld((h) => (h === minutes ? null : h)), [minutes]);
  const shown = held ?? minutes;
  return (
    <>
      <div className="flex flex-wrap items-center gap-x-3 text-ink">
        <div className="flex flex-1 items-baseline gap-2 whitespace-nowrap">
          <span className="font-figures text-figure tabular-nums">{shown}</span>
          <span className="font-text text-body">
            min{cappedBy === null ? "" : `, only ${formatLength(cappedBy)} left`},{" "}
            <span role="status" className={strong ? "font-strong" : "font-text"}>
              {word}
            </span>
          </span>
        </div>
        <StatePress line={line} onPress={onForecast} />
      </div>
      <RiseSlider
        minutes={shown}
        mostMinutes={mostMinutes}
        words={`${shown} min, ${word}`}
        segments={segments}
        height={HEIGHT}
        nowSeconds={nowSeconds}
        windows={windows}
        selectedId={selectedId}
        onPick={onPick}
        onMinutes={change}
      />
    </>
  );
}

const GivenUpLine = memo(function GivenUpLine({ text, onPress }: { text: string; onPress: () => void }) {
  return (
    <Pressable role="button" aria-haspopup="dialog" onPress={onPress} className="min-h-press justify-center">
      <Text className="font-text text-small text-ink underline" numberOfLines={2} testID="given-up">
        <Unbroken text={text} />
      </Text>
    </Pressable>
  );
});
