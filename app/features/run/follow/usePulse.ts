import type { RunState } from "@tonodrome/core";
import { useEffect, useRef, useState } from "react";
import { pressRun } from "~/data/runs/press";

/** A heart-rate strap that can be listened to. A real one implements this too. */
export interface PulseSource {
  /** Whether it is a stand-in, and says so wherever it is shown. */
  simulated: boolean;
  /**
   * Listens to the rate, once a second.
   * @param intensity what is being done, per cent of effort: for a stand-in to follow
   * @param onRate beats per minute, or null while contact is lost
   * @returns what ends it
   */
  listen(intensity: () => number, onRate: (rate: number | null) => void): () => void;
}

/** A heart rate as it is followed. */
export interface Pulse {
  simulated: boolean;
  /** Beats per minute; null while contact is lost. */
  rate: number | null;
  /** The last ones, oldest first, one every five seconds. */
  recent: readonly (number | null)[];
}

/** One in so many seconds is kept, so many of them together in one event. */
const EVERY = 5;
const RATES_AT_A_TIME = 12;

/** So many of the last ones are shown. */
const SHOWN = 36;

/** Listens to a strap, and records what it says. Everything works without. */
export function usePulse(source: PulseSource, runId: string, state: RunState, wanted: boolean): Pulse | null {
  const [pulse, setPulse] = useState<Pulse | null>(null);
  const latest = useRef(state);
  latest.current = state;
  const listens = wanted && state.status !== "ended";
  useEffect(() => {
    if (!listens) {
      setPulse(null);
      return;
    }
    let second = 0;
    let kept: (number | null)[] = [];
    let recent: (number | null)[] = [];
    const intensity = () => {
      const { splits, index, heldSince } = latest.current;
      return heldSince === null ? (splits[index]?.drill.intensity ?? 0) : 0;
    };
    const record = () => {
      const { simulated } = source;
      if (kept.length > 0)
        pressRun(runId, {
          kind: "pulse",
          everySeconds: EVERY,
          rates: kept,
          ...(simulated ? { simulated } : {}),
        });
      kept = [];
    };
    const end = source.listen(intensity, (rate) => {
      if (second++ % EVERY === 0) {
        kept.push(rate);
        recent = [...recent, rate].slice(-SHOWN);
        if (kept.length === RATES_AT_A_TIME) record();
      }
      setPulse({ simulated: source.simulated, rate, recent });
    });
    return () => {
      end();
      record();
    };
  }, [source, runId, listens]);
  return pulse;
}
