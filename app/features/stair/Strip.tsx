import { describeChange, formatLength, formatMinus, type LevelRung, type Placement } from "@tonodrome/core";
import { memo } from "react";
import { Icon } from "~/ui/Icon";
import { toneClasses } from "~/ui/tone";

/*
 * The stair follows the finger on the slider: thirty strips may change with every move. They are drawn with the
 * browser's own elements, which cost a tenth of the shared parts' (measured by `npm run bench`).
 */

/** Lowest strip, pixels, and how much it grows for each second beyond two minutes: a long drill looks long. */
const LEAST = 52;
const PER_SECOND = 0.14;

/** How far competition intensity is stepped in, as a share of the width; the strip has the rest. */
const STEP_IN = 24;

export const heightOf = (seconds: number): number => LEAST + Math.max(0, seconds - 120) * PER_SECOND;

interface StripProps {
  placement: Placement;
  selected: boolean;
  /** Warns that the climb to this drill is steeper than the plan allows. */
  steep: boolean;
  /** Whether its place keeps to windows; null where it needs no place. Seen as a band down the side. */
  windowed: boolean | null;
  onSelect: (id: string) => void;
}

/** One drill of the stair and the minus time it begins at. */
export const Strip = memo(
  function Strip(props: StripProps) {
    const { level, beginSeconds } = props.placement;
    const { windowed } = props;
    return (
      <div className="flex">
        <Gutter text={level ? formatMinus(beginSeconds) : ""} />
        <div
          className={`w-[6px] shrink-0 ${windowed === null ? "" : windowed ? "bg-ink" : "bg-line"}`}
          aria-hidden="true"
        />
        <div className="min-w-0 flex-1">
          <Body {...props} />
        </div>
      </div>
    );
  },
  (a, b) =>
    sameBody(a, b) && a.windowed === b.windowed && shownBegin(a.placement) === shownBegin(b.placement),
);

/** Where a drill that is left out would stand is not shown. */
const shownBegin = (p: Placement) => (p.level ? p.beginSeconds : null);

/** The line of minus times down the side. */
export function Gutter({ text }: { text: string }) {
  return <div className="w-[64px] pt-1 font-figures text-small tabular-nums text-muted">{text}</div>;
}

const sameBody = (a: StripProps, b: StripProps) =>
  a.selected === b.selected &&
  a.steep === b.steep &&
  a.onSelect === b.onSelect &&
  a.placement.item === b.placement.item &&
  a.placement.levelIndex === b.placement.levelIndex &&
  a.placement.spanSeconds === b.placement.spanSeconds;

/** The pressed part: tone and offset for its intensity, height for its length. */
const Body = memo(function Body({ placement, selected, steep, onSelect }: StripProps) {
  const { item, level } = placement;
  const look =
    level === null
      ? leftOut()
      : item.phase === "kit"
        ? gap(level.seconds)
        : level.rungs
          ? ladder()
          : filled(item.intensity, placement.spanSeconds);
  return (
    <button
      type="button"
      aria-label={describe(placement)}
      aria-pressed={selected}
      onClick={() => onSelect(item.id)}
      className={`mb-[3px] flex cursor-pointer flex-col items-stretch justify-start border-0 px-3 py-1 text-left align-top ${look.classes} ${selected ? "outline outline-[3px] -outline-offset-[3px] outline-current" : ""}`}
      style={look.style}
    >
      {level === null ? (
        <LeftOutLine name={item.name} />
      ) : level.rungs ? (
        <Rungs placement={placement} rungs={level.rungs} steep={steep} />
      ) : (
        <Lines placement={placement} steep={steep} small={look.small} />
      )}
    </button>
  );
}, sameBody);

interface Look {
  classes: string;
  /** Colour of the smaller line. */
  small: string;
  style: { minHeight: number; width: string; marginLeft?: string };
}

/** A strip of equal width, stepped to the right as intensity rises. */
function filled(intensity: number, seconds: number): Look {
  const tone = toneClasses(intensity);
  return {
    classes: `${tone.fill} ${tone.text}`,
    small: "",
    style: {
      minHeight: heightOf(seconds),
      width: `${100 - STEP_IN}%`,
      marginLeft: `${(intensity / 100) * STEP_IN}%`,
    },
  };
}

/** A kit change: an open gap between dashed lines. */
function gap(seconds: number): Look {
  return {
    classes: "border-x-0 border-y-2 border-dashed border-muted bg-transparent text-ink",
    small: "text-muted",
    style: { minHeight: heightOf(seconds), width: "100%" },
  };
}

/** A ladder: its rungs are the strips. */
function ladder(): Look {
  return { classes: "bg-transparent text-ink", small: "", style: { minHeight: LEAST, width: "100%" } };
}

/** A drill that did not fit: kept in sight, so that it is seen to come back. */
function leftOut(): Look {
  return { classes: "bg-transparent text-muted", small: "", style: { minHeight: LEAST, width: "100%" } };
}

/** What it is and how long it takes. */
function Headline({ placement: { item, level, spanSeconds } }: { placement: Placement }) {
  return (
    <span className="flex items-start gap-2 text-body">
      <span className="line-clamp-2 flex-1 font-strong">{item.name}</span>
      <span className="font-figures tabular-nums">{formatLength(level ? spanSeconds : 0)}</span>
    </span>
  );
}

function Lines({ placement, steep, small }: { placement: Placement; steep: boolean; small: string }) {
  const { item, level, ideal } = placement;
  const change = level && level !== ideal ? describeChange(ideal, level) : "";
  return (
    <>
      <Headline placement={placement} />
      <span className={`line-clamp-2 font-text text-small ${small}`}>
        {item.alreadyOn
          ? "already on"
          : item.phase === "kit"
            ? item.place
            : `${item.intensity} %, ${change || level?.words}`}
        {level && placement.spanSeconds > level.seconds ? ", turns taken" : ""}
        {steep ? ", steep step" : ""}
      </span>
    </>
  );
}

/** Lowest rung, pixels, and how much it grows for each second beyond half a minute. */
const LEAST_RUNG = 26;
const RUNG_PER_SECOND = 0.12;

/** What a ladder is called, and each of its rungs as tone and offset. */
function Rungs({
  placement,
  rungs,
  steep,
}: {
  placement: Placement;
  rungs: readonly LevelRung[];
  steep: boolean;
}) {
  const { level, ideal } = placement;
  const change = level && level !== ideal ? describeChange(ideal, level) : "";
  return (
    <>
      <Headline placement={placement} />
      <span className="line-clamp-2 font-text text-small text-muted">
        {change || level?.words}
        {steep ? ", steep step" : ""}
      </span>
      {rungs.map((rung) => {
        const tone = toneClasses(rung.intensity);
        return (
          <span
            key={rung.id}
            className={`mt-[2px] flex items-start gap-2 px-2 text-small ${tone.fill} ${tone.text}`}
            style={{
              minHeight: LEAST_RUNG + Math.max(0, rung.seconds - 30) * RUNG_PER_SECOND,
              width: `${100 - STEP_IN}%`,
              marginLeft: `${(rung.intensity / 100) * STEP_IN}%`,
            }}
          >
            <span className="line-clamp-1 flex-1 font-text">{rung.name}</span>
            <span className="font-figures tabular-nums">{formatLength(rung.seconds)}</span>
          </span>
        );
      })}
    </>
  );
}

function LeftOutLine({ name }: { name: string }) {
  return (
    <span className="flex flex-1 items-center gap-2 text-body">
      <Icon name="less" size={16} color="muted" />
      <span className="line-clamp-1 flex-1 font-text line-through">{name}</span>
      <span className="font-text text-small">left out</span>
    </span>
  );
}

function describe({ item, level, ideal, beginSeconds, spanSeconds }: Placement): string {
  if (!level) return `${item.name}, left out`;
  const change = level === ideal ? "" : `, ${describeChange(ideal, level)}`;
  const effort = item.phase === "kit" ? "kit" : level.rungs ? "ladder" : `${item.intensity} %`;
  return `${item.name}, ${effort}, ${level.words}${change}, ${formatLength(spanSeconds)}, at ${formatMinus(beginSeconds)}`;
}
