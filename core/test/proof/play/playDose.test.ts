import fc from "fast-check";
import { plainLevels } from "../../../src/dose/kinds/plainLevels";
import { cases } from "../../made/cases";
import { anyPlainDose } from "../../made/generate";
import { playDose } from "./playDose";

it("every dose takes as long, works as long and counts as much as when it is played through by the clock", () => {
  fc.assert(
    fc.property(anyPlainDose, (dose) => {
      for (const level of plainLevels(dose)) {
        const sides = "sides" in dose && dose.sides === "both" ? 2 : 1;
        const tries = dose.kind === "gate" ? level.volume.amount / sides : 0;
        const played = playDose(
          dose,
          level.counts.map((c) => c.amount),
          tries,
        );
        // Where no number of tries is sure enough, a gate takes its cap.
        const runsOut = dose.kind === "gate" && level.seconds > played.clock;
        if (!runsOut) expect(played.clock).toBe(level.seconds);
        expect(played.work).toBe(level.workSeconds);
        expect(played.actions).toBe(level.actions);
      }
    }),
    cases(2000),
  );
});
