import { formatLength, formatMinus, spokenLength } from "@tonodrome/core";
import { Gutter, heightOf } from "./Strip";
import type { Mark } from "./stairMarks";

/** Bare paper grows with a wait as strips do, up to a height that leaves the stair in sight. */
const HIGHEST = 120;

/** Changes of place, fixed points and waits, in the order they come. */
export function StairMarkLines({ marks }: { marks: readonly Mark[] }) {
  return marks.map((mark) => <MarkLine key={keyOf(mark)} mark={mark} />);
}

function keyOf(mark: Mark): string {
  if (mark.kind === "idle") return `${mark.atSeconds}`;
  return mark.kind === "conflict" ? mark.words : mark.name;
}

function MarkLine({ mark }: { mark: Mark }) {
  switch (mark.kind) {
    case "place":
      return (
        <div className="flex items-baseline pt-1">
          <Gutter text="" />
          <p className="m-0 flex-1 border-0 border-b-2 border-solid border-ink px-3 font-strong text-small text-ink">
            {mark.name}
            {mark.windows ? <span className="font-text text-muted"> open {mark.windows}</span> : null}
          </p>
        </div>
      );
    case "point":
      return (
        <div className="flex items-center py-1">
          <Gutter text={formatMinus(mark.atSeconds)} />
          <p className="m-0 flex-1 border-0 border-y-2 border-solid border-line px-3 py-1 font-text text-small text-ink">
            <span className="font-strong">{mark.name}</span>
            {mark.longSeconds > 0 ? `, ${spokenLength(mark.longSeconds)}` : ""}
            {mark.closes ? ". No practice after it" : ""}
          </p>
        </div>
      );
    case "conflict":
      return (
        <div className="flex items-start gap-2 py-1" role="note" data-testid="conflict">
          <Gutter text="" />
          <p className="m-0 flex flex-1 items-start gap-2 border-0 border-l-4 border-solid border-signal px-3 font-strong text-small text-ink">
            {mark.words}
          </p>
        </div>
      );
    case "idle":
      return (
        <div className="flex" style={{ minHeight: Math.min(HIGHEST, heightOf(mark.seconds) / 2) }}>
          <Gutter text={formatMinus(mark.atSeconds)} />
          <p className="m-0 flex-1 px-3 pt-1 font-text text-small text-muted">
            {formatLength(mark.seconds)} free: {mark.words}
          </p>
        </div>
      );
  }
}
