/** A calm breath: in over 4 s, out over 6 s, six a minute; slow breathing with the longer half going out settles (custom, as slow breathing is taught). */
export const BREATH = { inSeconds: 4, outSeconds: 6 } as const;

/** Where a paced breath is. */
export interface BreathNow {
  phase: "in" | "out";
  /** How full, 0 to 1. */
  fill: number;
  /** Which breath it is, from 1. */
  count: number;
}

/**
 * Where a paced breath is.
 * @param elapsed seconds since the pacing began
 */
export function breathAt(elapsed: number): BreathNow {
  const { inSeconds, outSeconds } = BREATH;
  const whole = inSeconds + outSeconds;
  const since = Math.max(0, elapsed);
  const within = since % whole;
  const isIn = within < inSeconds;
  return {
    phase: isIn ? "in" : "out",
    fill: isIn ? within / inSeconds : 1 - (within - inSeconds) / outSeconds,
    count: Math.floor(since / whole) + 1,
  };
}
