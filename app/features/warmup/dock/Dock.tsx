import { type Fit, formatLength, givenUpLine } from "@tonodrome/core";
import { memo, useCallback, useEffect, useState } from "react";
import { Pressable, Text } from "react-native";
import { fitWord } from "~/features/fit/stateWord";
import { Slider } from "~/ui/fields/Slider";
import { useAfterPaint } from "~/ui/hooks/useAfterPaint";
import { Progress } from "~/ui/layout/Progress";

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
}

/** Time available under the thumb: the number, the slider and one line of what was given up. */
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
}: DockProps) {
  return (
    <div className="relative">
      <Progress label={isBest ? "Every time available" : "This time available"} progress={progress} />
      <Finger
        minutes={minutes}
        mostMinutes={mostMinutes}
        word={fitWord(fit, stepPoints, { isBest, progress, failed })}
        strong={fit.state !== "fits"}
        cappedBy={cappedBy}
        onMinutes={onMinutes}
      />
      <GivenUpLine text={givenUpLine(fit, stepPoints)} onPress={onExplain} />
    </div>
  );
});

type FingerProps = Pick<DockProps, "minutes" | "mostMinutes" | "cappedBy" | "onMinutes"> & {
  word: string;
  strong: boolean;
};

/** What moves with the finger in the same frame; everybody else hears of it when that is painted. */
function Finger({ minutes, mostMinutes, word, strong, cappedBy, onMinutes }: FingerProps) {
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
      <div className="flex items-baseline gap-2 text-ink">
        <span className="font-figures text-figure tabular-nums">{shown}</span>
        <span className="flex-1 font-text text-body">
          min available{cappedBy === null ? "" : `, only ${formatLength(cappedBy)} left`}
        </span>
        <span role="status" className={`text-body ${strong ? "font-strong" : "font-text"}`}>
          {word}
        </span>
      </div>
      <Slider
        label="Time available"
        value={shown}
        least={1}
        most={mostMinutes}
        step={1}
        words={`${shown} min, ${word}`}
        onChange={change}
      />
    </>
  );
}

const GivenUpLine = memo(function GivenUpLine({ text, onPress }: { text: string; onPress: () => void }) {
  return (
    <Pressable role="button" aria-haspopup="dialog" onPress={onPress} className="min-h-press justify-center">
      <Text className="font-text text-small text-ink underline" numberOfLines={2} testID="given-up">
        {text}
      </Text>
    </Pressable>
  );
});
