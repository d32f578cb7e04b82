import { formatMinus, type RiseSegment, riseWords } from "@tonodrome/core";
import { memo } from "react";
import { toneClasses } from "~/ui/tone";

export interface RiseProps {
  /** The warm-up as it fits, from its first drill to the start. */
  segments: readonly RiseSegment[];
  /** Length of the line of time, seconds: from so long before the start to the start. */
  spanSeconds: number;
  /** Pixels of the hardest effort. */
  height: number;
  /** When it is now, seconds from the start; null where that is not in view or does not matter. */
  nowSeconds?: number | null;
  /** The drill that is chosen, marked by a line below it. */
  selectedId?: string | null;
  /** Stretches of time that are marked on the line: windows of places. */
  windows?: readonly { fromSeconds: number; toSeconds: number }[];
  /** Minutes written below the line. */
  ticks?: boolean;
  /** A bar was pressed. */
  onPick?: (itemId: string) => void;
}

/** Lowest bar, and a change of kit, as shares of the height. */
const LOWEST = 0.06;
const KIT = 0.16;

/**
 * A whole warm-up at a glance: every drill a bar, as wide as it is long, as high as it is hard and in its tone, on a line of
 * minutes that ends at the start. Kit is a dashed outline, waits are bare. The browser's own boxes, because it follows a finger.
 */
export const Rise = memo(function Rise(props: RiseProps) {
  const {
    segments,
    spanSeconds,
    height,
    nowSeconds = null,
    selectedId = null,
    windows = [],
    ticks = false,
  } = props;
  const at = (seconds: number) => `${(100 * (seconds + spanSeconds)) / spanSeconds}%`;
  const wide = (from: number, to: number) => `${(100 * (to - from)) / spanSeconds}%`;
  return (
    <div role="img" aria-label={riseWords(segments)} className={ticks ? "pb-6" : ""}>
      <div className="relative border-0 border-b-2 border-solid border-ink" style={{ height }}>
        {windows.map((w) => (
          <div
            key={w.fromSeconds}
            className="absolute bottom-0 h-full bg-line opacity-40"
            style={{
              left: at(Math.max(-spanSeconds, w.fromSeconds)),
              width: wide(Math.max(-spanSeconds, w.fromSeconds), Math.min(0, w.toSeconds)),
            }}
          />
        ))}
        {segments.map((s) =>
          s.kind === "idle" ? null : (
            <Bar
              key={s.key}
              segment={s}
              left={at(s.fromSeconds)}
              width={wide(s.fromSeconds, s.toSeconds)}
              selected={s.itemId === selectedId}
              onPick={props.onPick}
            />
          ),
        )}
        {nowSeconds !== null && nowSeconds > -spanSeconds && nowSeconds < 0 ? (
          <div className="absolute bottom-0 h-full w-[2px] bg-signal" style={{ left: at(nowSeconds) }} />
        ) : null}
        <div className="absolute bottom-0 right-0 h-full w-[4px] bg-signal" />
        {ticks ? <Ticks spanSeconds={spanSeconds} at={at} /> : null}
      </div>
    </div>
  );
});

interface BarProps {
  segment: RiseSegment;
  left: string;
  width: string;
  selected: boolean;
  onPick: RiseProps["onPick"];
}

/** One drill or rung. What can be pressed here is in the stair as well, so those who listen are not told twice. */
const Bar = memo(function Bar({ segment, left, width, selected, onPick }: BarProps) {
  const { phase, intensity, itemId } = segment;
  const isKit = phase === "kit";
  const high = isKit ? KIT : Math.max(LOWEST, intensity / 100);
  const look = isKit
    ? "border-x-2 border-t-2 border-b-0 border-dashed border-muted"
    : `border-0 border-r border-solid border-paper ${toneClasses(intensity).fill}`;
  return (
    <div
      aria-hidden="true"
      data-bar={itemId}
      onClick={onPick ? () => onPick(itemId) : undefined}
      className={`absolute bottom-0 box-border min-w-[2px] ${look} ${onPick ? "cursor-pointer" : ""} ${selected ? "outline outline-[3px] outline-ink" : ""}`}
      style={{ left, width, height: `${100 * high}%` }}
    />
  );
});

/** Minutes between ticks: three or four of them on any line. */
const BETWEEN = [1, 2, 5, 10, 15, 30, 60, 120];

function Ticks({ spanSeconds, at }: { spanSeconds: number; at: (seconds: number) => string }) {
  const between = 60 * (BETWEEN.find((minutes) => minutes * 60 * 4 >= spanSeconds) ?? 240);
  const many = Math.ceil(spanSeconds / between) - 1;
  return Array.from({ length: many }, (_, i) => -(i + 1) * between).map((seconds) => (
    <span
      key={seconds}
      aria-hidden="true"
      className="absolute top-full -translate-x-1/2 pt-1 font-figures text-small tabular-nums text-muted"
      style={{ left: at(seconds) }}
    >
      {formatMinus(seconds).replace(/:00$/, "")}
    </span>
  ));
}
