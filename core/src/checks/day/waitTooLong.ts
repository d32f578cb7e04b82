import { spokenLength } from "../../time/clock";
import { check } from "../terms/check";

/** The wait is longer than the coach tolerates. */
export const waitTooLong = check({
  code: "wait-too-long",
  name: "Wait too long",
  severity: "warn",
  when: "The wait before the start is longer than the plan tolerates.",
  rests: "The plan's own longest wait.",
  figures: {},
  find: ({ fit }) =>
    fit.waitOverSeconds > 0
      ? [
          {
            where: ["plan", "wait", "longestSeconds"],
            words: `The wait is ${spokenLength(fit.waitOverSeconds)} longer than tolerated.`,
            mends: [
              {
                words: `Tolerate ${spokenLength(fit.waitSeconds)}`,
                edits: [{ kind: "wait", change: { longestSeconds: fit.waitSeconds } }],
              },
            ],
          },
        ]
      : [],
});
