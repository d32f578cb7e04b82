import { simulatedStrap } from "@tonodrome/core";
import type { PulseSource } from "./usePulse";

const SEED = 11;

/** A stand-in for a heart-rate strap: its beats follow the intensity of the drill under way. */
export const simulatedPulse: PulseSource = {
  simulated: true,
  listen(intensity, onRate) {
    const strap = simulatedStrap(SEED);
    const timer = setInterval(() => onRate(strap(intensity(), 1)), 1000);
    return () => clearInterval(timer);
  },
};
