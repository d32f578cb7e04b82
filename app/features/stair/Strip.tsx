import { describeChange, formatLength, formatMinus, type LevelRung, type Placement } from "@tonodrome/core";
import { memo } from "react";
import { Icon } from "~/ui/Icon";
import { PlainButton } from "~/ui/PlainButton";
import { toneClasses } from "~/ui/tone";

/*
 * The stair follows the finger on the slider: thirty strips may change with every move. They are drawn with the
 * browser's own elements, which cost a tenth of the shared parts' (measured by `npm run bench`).
 */

/** Lowest strip, pixels of the usual text size, and how much it grows for each second beyond two minutes: a long drill looks long. */
const LEAST = 29;
const PER_SECOND = 0.05;

/** How far competition intensity is stepped in, as a share of the width; the strip has the rest. */
const STEP_IN = 20;

/** How high a strip of so many seconds is, pixels. */
export const heightOf = (seconds: number): number => LEAST + Math.max(0, seconds - 120) * PER_SECOND;

/** What of a placement is drawn. */
type Drawn = Pick<Placement, "item" | "level" | "ideal" | "spanSeconds">;

interface StripLineProps extends StripProps {
  /** When it begins, seconds from the start. */
  beginSeconds: number;
  /** Whether its place keeps to windows; null where it needs no place. Seen as a band down the side. */
  windowed: boolean | null;
}

interface StripProps extends Drawn {
  selected: boolean;
  /** Whether a press opens it in its place. */
  opens: boolean;
  /** How many things there are to look at about it. */
  found: number;
  onSelect: (id: string) => void;
}

const BANDS = { none: "border-transparent", open: "border-line", windows: "border-ink" };

/**
 * One drill of the stair with the minus time it begins at beside it. Where a drill that is left out would stand is not
 * shown. The time stands in a box of its own: most moves of the slider change nothing else, and nothing else is laid out.
 */
export function StripLine({ beginSeconds, windowed, ...strip }: StripLineProps) {
  const band = windowed === null ? "none" : windowed ? "windows" : "open";
  return (
    <div className={`strip-line border-y-0 border-l-[6px] border-r-0 border-solid ${BANDS[band]}`}>
      <div id={beginId(strip.item)} className={`strip-begin ${TIME}`}>
        {strip.level ? formatMinus(beginSeconds) : ""}
      </div>
      <Strip {...strip} />
    </div>
  );
}

/** How a minus time beside the stair is written. */
const TIME = "pt-1 font-figures text-small tabular-nums text-muted";

/** Of the time beside a drill's strip: what it is described by. */
const beginId = ({ id }: Pick<Placement["item"], "id">) => `begins-${id}`;

/** Tone and offset for its intensity, height for its length. */
const Strip = memo(function Strip(props: StripProps) {
  const { item, level, ideal, spanSeconds, selected, opens, found, onSelect } = props;
  const look = lookOf(props);
  return (
    <PlainButton
      aria-label={describe(props)}
      aria-describedby={beginId(item)}
      {...(opens ? { "aria-expanded": selected } : { "aria-pressed": selected })}
      data-drill={item.id}
      onClick={() => onSelect(item.id)}
      className={`mb-[2px] flex cursor-pointer flex-col items-stretch justify-start border-0 px-2 py-[1px] text-left align-top ${look.classes} ${selected ? "outline outline-[3px] -outline-offset-[3px] outline-current" : ""}`}
      style={look.style}
    >
      <Inside {...{ item, level, ideal, spanSeconds, found, selected }} small={look.small} />
    </PlainButton>
  );
});

/** The line of minus times down the side. */
export function Gutter({ text }: { text: string }) {
  return <div className={`w-[3.5rem] shrink-0 ${TIME}`}>{text}</div>;
}

interface InsideProps extends Drawn {
  found: number;
  /** Opened: everything about it is told. */
  selected: boolean;
  /** Colour of the smaller line. */
  small: string;
}

/** What stands in a strip. */
function Inside(props: InsideProps) {
  const { item, level, selected, small } = props;
  if (level === null) return <LeftOutLine name={item.name} found={props.found} />;
  return (
    <>
      <Line {...props} />
      {selected ? <span className={`font-text text-small ${small}`}>{doneWords(props)}</span> : null}
      {selected && item.focus ? <span className="font-strong text-small">{item.focus}</span> : null}
      {selected && level.rungs ? <Rungs rungs={level.rungs} /> : null}
    </>
  );
}

function lookOf({ item, level, spanSeconds, selected }: Drawn & { selected: boolean }): Look {
  if (level === null) return leftOut();
  if (item.phase === "kit") return gap(level.seconds);
  return level.rungs && selected ? ladder() : filled(item.intensity, spanSeconds);
}

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

const changeWords = ({ level, ideal }: Drawn) =>
  level && level !== ideal ? describeChange(ideal, level, "wanted") : "";

/** One line: what it is, how hard, how long. Opened it is told whole. */
function Line({ item, level, spanSeconds, found, selected }: InsideProps) {
  return (
    <span className="flex flex-wrap items-baseline gap-x-[6px] text-body">
      {found > 0 ? <Icon name="warn" size={16} /> : null}
      <span className={`min-w-[4em] flex-1 font-strong ${selected ? "" : "line-clamp-1 break-all"}`}>
        {item.name}
      </span>
      <span className="whitespace-nowrap font-text text-small">{effortWords({ item, level })}</span>
      <span className="whitespace-nowrap font-figures tabular-nums">
        {item.alreadyOn ? "already on" : formatLength(level ? spanSeconds : 0)}
      </span>
    </span>
  );
}

/** How hard it is: of a ladder from where to where. */
function effortWords({ item, level }: Pick<Drawn, "item" | "level">): string {
  if (item.phase === "kit") return "";
  const efforts = level?.rungs?.map((r) => r.intensity) ?? [];
  const [from, to] = [efforts[0] ?? item.intensity, efforts.at(-1) ?? item.intensity];
  return from === to ? `${to}\u00a0%` : `${from}–${to}\u00a0%`;
}

/** What is to be done in it, in words. */
function doneWords(props: InsideProps): string {
  const { item, level, spanSeconds } = props;
  const turns = level && spanSeconds > level.seconds ? "turns taken" : "";
  return [item.phase === "kit" ? item.place : level?.words, changeWords(props), turns]
    .filter(Boolean)
    .join(", ");
}

/** Lowest rung, pixels, and how much it grows for each second beyond half a minute. */
const LEAST_RUNG = 26;
const RUNG_PER_SECOND = 0.12;

/** Each rung of a ladder as tone and offset. */
function Rungs({ rungs }: { rungs: readonly LevelRung[] }) {
  return rungs.map((rung) => {
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
  });
}

/** A mark in words that there is something to look at. */
const foundWords = (found: number) =>
  found === 0 ? "" : found === 1 ? ", look at it" : `, ${found} to look at`;

function LeftOutLine({ name, found }: { name: string; found: number }) {
  return (
    <span className="flex flex-1 items-center gap-2 text-body">
      <Icon name="less" size={16} color="muted" />
      <span className="line-clamp-1 flex-1 font-text line-through">{name}</span>
      <span className="font-text text-small">left out{foundWords(found)}</span>
    </span>
  );
}

function describe(props: StripProps): string {
  const { item, level, spanSeconds, found } = props;
  if (!level) return `${item.name}, left out${foundWords(found)}`;
  const change = changeWords(props);
  const effort = item.phase === "kit" ? "kit" : level.rungs ? "ladder" : `${item.intensity} %`;
  return `${item.name}, ${effort}, ${level.words}${change ? `, ${change}` : ""}, ${formatLength(spanSeconds)}${foundWords(found)}`;
}
