import { formatMinus } from "../../time/clock";
import { check } from "../terms/check";

/** Ready only after a fixed point has begun. */
export const lateForPoint = check({
  code: "late-for-a-fixed-point",
  name: "Late for a fixed point",
  severity: "stop",
  when: "The athlete is there and free only after a fixed point has begun.",
  rests: "The day's own fixed points.",
  figures: {},
  find: ({ context, fit, readySeconds }) => {
    const ready = readySeconds ?? fit.availableSeconds;
    return context.points.flatMap((point, i) =>
      // What is over by then was before they came: it is not this warm-up's.
      point.fromSeconds < -ready && point.toSeconds > -ready
        ? [
            {
              where: ["context", "points", i],
              words: `${point.name} is at ${formatMinus(point.fromSeconds)}, and they are ready only at ${formatMinus(-ready)}: begin earlier.`,
            },
          ]
        : [],
    );
  },
});
