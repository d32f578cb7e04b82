import { type DoseEnd, moveEnd, type Range } from "@tonodrome/core";
import { Text, View } from "react-native";
import { Stepper } from "~/ui/fields/Stepper";
import { Fold } from "~/ui/layout/Fold";

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

/** What is wanted first; how far the fit may go either way stands behind it. */
export function Ranges({ of }: { of: readonly RangeProps[] }) {
  return (
    <>
      {of.map((props) => (
        <RangeEnd
          key={props.noun}
          end="ideal"
          label={props.noun === null ? "How long" : `How many ${props.noun}`}
          {...props}
        />
      ))}
      <Fold title={of.map(rangeWords).join(", ")}>
        <Text className="font-text text-small text-muted">
          The fit goes down to the minimum when time is short, and up to the maximum when there is some to
          spare.
        </Text>
        {of.map((props) => (
          <View key={props.noun} className="gap-2">
            <RangeEnd end="floor" label={`Minimum ${props.noun ?? "time"}`} {...props} />
            {props.fixedTop ? null : (
              <RangeEnd end="ceiling" label={`Maximum ${props.noun ?? "time"}`} {...props} />
            )}
          </View>
        ))}
      </Fold>
    </>
  );
}

/** "Range: 6 to 8 reps", or with one number where nothing may give. */
function rangeWords({ noun, range: { floor, ceiling }, show = String }: RangeProps, i: number): string {
  const lead = i === 0 ? "Range: " : "";
  const amount = floor === ceiling ? show(floor) : `${show(floor)} to ${show(ceiling)}`;
  return `${lead}${amount}${noun === null ? "" : ` ${noun}`}`;
}

interface RangeEndProps extends RangeProps {
  end: DoseEnd;
  label: string;
}

function RangeEnd({ end, label, range, limits, show = String, fixedTop, onChange }: RangeEndProps) {
  const move = (steps: number) => {
    const moved = moveEnd(range, end, steps, limits);
    onChange(fixedTop ? { ...moved, ceiling: moved.ideal } : moved);
  };
  return (
    <Stepper
      label={label}
      value={show(range[end])}
      onLess={() => move(-1)}
      onMore={() => move(1)}
      atLeast={range[end] <= limits.least}
      atMost={range[end] >= limits.most}
    />
  );
}

/** Sets or rounds, which do not grow by themselves. @param noun "sets" */
export const boutsOf = (
  noun: string,
  range: Range,
  most: number,
  onChange: (range: Range) => void,
): RangeProps => ({ noun, range, limits: { step: 1, least: 1, most }, fixedTop: true, onChange });
