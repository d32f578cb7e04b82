import { type DoseEnd, moveEnd, type Range } from "@tonodrome/core";
import { useState } from "react";
import { View } from "react-native";
import { Marks } from "~/ui/fields/Marks";
import { Stepper } from "~/ui/fields/Stepper";

/** How much there may be of one thing. */
export interface RangeProps {
  /** What is counted: "attempts"; none for a length of time. */
  noun: string | null;
  range: Range;
  limits: { step: number; least: number; most: number };
  show?: (n: number) => string;
  /** It does not grow beyond what is wanted by itself: sets, rounds. */
  fixedTop?: true;
  onChange: (range: Range) => void;
}

/** What is wanted, and how far the fit may go either way: one control for each thing that is counted. */
export function Ranges({ of }: { of: readonly RangeProps[] }) {
  return (
    <>
      {of.map((props) => (
        <MarkedRange key={props.noun} {...props} />
      ))}
    </>
  );
}

/** A line is drawn to twice the most there is, and at least so many steps long: as far as a finger wants to go. Custom. */
const ROOM = 2;
const STEPS_SHOWN = 8;

/** "1 · 2 · 3 sets": the minimum, the target and the maximum; once where nothing may give. */
function rangeWords({
  noun,
  range,
  show = String,
  fixedTop,
}: Omit<RangeProps, "limits" | "onChange">): string {
  const { floor, ideal, ceiling } = range;
  const all = fixedTop ? [floor, ideal] : [floor, ideal, ceiling];
  const amounts = floor === ceiling ? show(floor) : all.map(show).join(" · ");
  return noun === null ? amounts : `${amounts} ${noun}`;
}

/** A line with three marks, and one stepper for the one that was taken hold of last: what is wanted, unless another was. */
function MarkedRange(props: RangeProps) {
  const { noun, range, limits, show = String, fixedTop, onChange } = props;
  const [end, take] = useState<DoseEnd>("ideal");
  // The line stays as long as it was while a mark moves on it, unless it runs out.
  const [longest] = useState(() => Math.max(ROOM * range.ceiling, limits.least + STEPS_SHOWN * limits.step));
  const most = Math.max(range.ceiling, Math.min(limits.most, longest));
  const labels: Record<DoseEnd, string> = {
    floor: `Minimum ${noun ?? "time"}`,
    ideal: noun === null ? "How long" : `How many ${noun}`,
    ceiling: `Maximum ${noun ?? "time"}`,
  };
  const moveTo = (of: DoseEnd, value: number) => {
    const moved = moveEnd(range, of, Math.round(value) - range[of], { ...limits, step: 1 });
    onChange(fixedTop ? { ...moved, ceiling: moved.ideal } : moved);
  };
  const ends: DoseEnd[] = fixedTop ? ["floor", "ideal"] : ["floor", "ideal", "ceiling"];
  return (
    <View>
      <Stepper
        label={labels[end]}
        under={rangeWords(props)}
        value={show(range[end])}
        onLess={() => moveTo(end, range[end] - limits.step)}
        onMore={() => moveTo(end, range[end] + limits.step)}
        atLeast={range[end] <= limits.least}
        atMost={range[end] >= limits.most}
        onType={(amount) => moveTo(end, amount)}
      />
      <Marks
        marks={ends.map((of) => ({
          label: labels[of],
          value: range[of],
          onChange: (value) => moveTo(of, value),
          onTake: () => take(of),
        }))}
        least={limits.least}
        most={most}
        step={limits.step}
        words={(n) => (noun === null ? show(n) : `${show(n)} ${noun}`)}
      />
    </View>
  );
}

/** Sets or rounds, which do not grow by themselves. @param noun "sets" */
export const boutsOf = (
  noun: string,
  range: Range,
  most: number,
  onChange: (range: Range) => void,
): RangeProps => ({ noun, range, limits: { step: 1, least: 1, most }, fixedTop: true, onChange });
