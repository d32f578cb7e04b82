import { formatLength, type LevelRung } from "@tonodrome/core";
import { PlainButton } from "~/ui/PlainButton";
import { toneClasses } from "~/ui/tone";
import { words } from "~/ui/words";

/** How far full effort is stepped in, per cent of the width. */
const STEP_IN = 40;

interface RungLineProps {
  rung: Omit<LevelRung, "counts" | "actions" | "workSeconds">;
  /** With it the line is pressed to open the rung. */
  onPress?: () => void;
  expanded?: boolean;
  /** All in one line. */
  small?: boolean | undefined;
}

/** One rung as tone and offset: what it is, its dose and its time. */
export function RungLine({ rung, onPress, expanded, small }: RungLineProps) {
  const tone = toneClasses(rung.intensity);
  const classes = `mb-[3px] flex items-center gap-2 border-0 px-3 text-left ${small ? "min-h-[32px]" : "min-h-[48px] py-1"} ${tone.fill} ${tone.text}`;
  const style = { width: `${100 - STEP_IN}%`, marginLeft: `${(rung.intensity / 100) * STEP_IN}%` };
  const content = (
    <>
      <span className="min-w-0 flex-1">
        <span className={`${small ? "line-clamp-1 text-small" : "line-clamp-2 text-body"} block font-strong`}>
          {rung.name}
          {small ? <span className="font-text"> {rung.words}</span> : null}
        </span>
        {small ? null : (
          <span className="line-clamp-2 block font-text text-small">
            {rung.words}
            {rung.restSeconds > 0 ? `, then ${rung.restSeconds} s rest` : ""}
          </span>
        )}
      </span>
      <span className="font-figures text-body tabular-nums">{formatLength(rung.seconds)}</span>
    </>
  );
  return onPress ? (
    <PlainButton
      aria-expanded={expanded}
      onClick={onPress}
      className={`${classes} cursor-pointer`}
      style={style}
    >
      {content}
    </PlainButton>
  ) : (
    <div className={classes} style={style}>
      {content}
    </div>
  );
}

/** Rungs as the stair they are. */
export function RungStair({ rungs, small }: { rungs: readonly LevelRung[]; small?: boolean }) {
  return (
    <ol aria-label={words.rungsFirstToLast} className="m-0 list-none p-0">
      {rungs.map((rung) => (
        <li key={rung.id}>
          <RungLine rung={rung} small={small} />
        </li>
      ))}
    </ol>
  );
}
