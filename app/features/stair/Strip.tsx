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

/** How high a strip of so many seconds is, pixels. */
export const heightOf = (seconds: number): number => LEAST + Math.max(0, seconds - 120) * PER_SECOND;

/** What of a placement is drawn. */
type Drawn = Pick<Placement, "item" | "level" | "ideal" | "spanSeconds">;

interface StripProps extends Drawn {
  /** When it begins, seconds from the start; where a drill that is left out would stand is not shown. */
  beginSeconds: number | null;
  selected: boolean;
  /** How many things there are to look at about it. */
  found: number;
  /** Whether its place keeps to windows; null where it needs no place. Seen as a band down the side. */
  windowed: boolean | null;
  onSelect: (id: string) => void;
}

/** One drill of the stair and the minus time it begins at: tone and offset for its intensity, height for its length. */
export const Strip = memo(function Strip(props: StripProps) {
  const { item, level, ideal, spanSeconds, beginSeconds, selected, found, windowed, onSelect } = props;
  const look = lookOf(props);
  return (
    <div className="flex">
      <Gutter text={beginSeconds === null ? "" : formatMinus(beginSeconds)} />
      <div
        className={`w-[6px] shrink-0 ${windowed === null ? "" : windowed ? "bg-ink" : "bg-line"}`}
        aria-hidden="true"
      />
      <div className="min-w-0 flex-1">
        <button
          type="button"
          aria-label={describe(props)}
          aria-pressed={selected}
          data-drill={item.id}
          onClick={() => onSelect(item.id)}
          className={`mb-[3px] flex cursor-pointer flex-col items-stretch justify-start border-0 px-3 py-1 text-left align-top ${look.classes} ${selected ? "outline outline-[3px] -outline-offset-[3px] outline-current" : ""}`}
          style={look.style}
        >
          <Inside {...{ item, level, ideal, spanSeconds, found }} small={look.small} />
        </button>
      </div>
    </div>
  );
});

/** The line of minus times down the side. */
export function Gutter({ text }: { text: string }) {
  return <div className="w-[64px] pt-1 font-figures text-small tabular-nums text-muted">{text}</div>;
}

interface InsideProps extends Drawn {
  found: number;
  /** Colour of the smaller line. */
  small: string;
}

/** What stands in a strip; not drawn anew when only its time changes. */
const Inside = memo(function Inside(props: InsideProps) {
  const { item, level } = props;
  if (level === null) return <LeftOutLine name={item.name} found={props.found} />;
  return level.rungs ? <Rungs {...props} rungs={level.rungs} /> : <Lines {...props} />;
});

function lookOf({ item, level, spanSeconds }: Drawn): Look {
  if (level === null) return leftOut();
  if (item.phase === "kit") return gap(level.seconds);
  return level.rungs ? ladder() : filled(item.intensity, spanSeconds);
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

/** What it is and how long it takes. */
function Headline({ item, level, spanSeconds }: Drawn) {
  return (
    <span className="flex items-start gap-2 text-body">
      <span className="line-clamp-2 flex-1 font-strong">{item.name}</span>
      <span className="font-figures tabular-nums">{formatLength(level ? spanSeconds : 0)}</span>
    </span>
  );
}

const changeWords = ({ level, ideal }: Drawn) =>
  level && level !== ideal ? describeChange(ideal, level) : "";

function Lines(props: InsideProps) {
  const { item, level, spanSeconds, found, small } = props;
  return (
    <>
      <Headline {...props} />
      <span className={`line-clamp-2 font-text text-small ${small}`}>
        {item.alreadyOn
          ? "already on"
          : item.phase === "kit"
            ? item.place
            : `${item.intensity} %, ${changeWords(props) || level?.words}`}
        {level && spanSeconds > level.seconds ? ", turns taken" : ""}
        {foundWords(found)}
      </span>
    </>
  );
}

/** Lowest rung, pixels, and how much it grows for each second beyond half a minute. */
const LEAST_RUNG = 26;
const RUNG_PER_SECOND = 0.12;

/** What a ladder is called, and each of its rungs as tone and offset. */
function Rungs({ rungs, ...props }: InsideProps & { rungs: readonly LevelRung[] }) {
  return (
    <>
      <Headline {...props} />
      <span className="line-clamp-2 font-text text-small text-muted">
        {changeWords(props) || props.level?.words}
        {foundWords(props.found)}
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
  const { item, level, spanSeconds, beginSeconds, found } = props;
  if (!level) return `${item.name}, left out${foundWords(found)}`;
  const change = changeWords(props);
  const effort = item.phase === "kit" ? "kit" : level.rungs ? "ladder" : `${item.intensity} %`;
  return `${item.name}, ${effort}, ${level.words}${change ? `, ${change}` : ""}, ${formatLength(spanSeconds)}, at ${formatMinus(beginSeconds ?? 0)}${foundWords(found)}`;
}
