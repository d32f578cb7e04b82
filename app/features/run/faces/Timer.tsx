interface TimerProps {
  /** Its colour. */
  text: string;
  /** As high as may be, with little else beside it. */
  big: boolean;
  children: string;
}

/** How much of the width the figures may take, by how many there are, so that all of them are seen. */
const ACROSS = [0, 60, 60, 56, 52, 44, 37, 31];

/** The large figures: as large as the room they stand in lets them be (its width and height, not the screen's). */
export function Timer({ text, big, children }: TimerProps) {
  const across = ACROSS[Math.min(children.length, ACROSS.length - 1)];
  return (
    <div
      role="timer"
      className={`whitespace-nowrap font-figures tabular-nums ${text}`}
      style={{
        fontSize: `min(${across}cqw, ${big ? "62cqh" : "max(38cqh, 50cqh - 40px)"})`,
        lineHeight: 1.05,
      }}
    >
      {children}
    </div>
  );
}
