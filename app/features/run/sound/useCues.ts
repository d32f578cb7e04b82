import { type CueLook, cueBetween, cueLook, type RunClock, type RunState, type Tone } from "@tonodrome/core";
import { useEffect, useRef } from "react";
import type { RunSettings } from "~/features/run/device/runSettings";
import { buzz, playTone, speak } from "./tones";

/** Makes a cue heard and felt, as far as is wished. */
export function giveCue(tone: Tone, words: string | null, settings: RunSettings): void {
  if (settings.silent) return;
  if (settings.tones) playTone(tone);
  if (settings.vibration) buzz(tone);
  if (settings.speech && words) speak(words);
}

/** Tones, words and buzzes as a run goes on. What was over before it was looked at is not told. */
export function useCues(runId: string, state: RunState, clock: RunClock, settings: RunSettings): void {
  const before = useRef<CueLook | null>(null);
  useEffect(() => {
    const now = cueLook(state, clock, runId);
    const cue = before.current && cueBetween(before.current, now);
    before.current = now;
    if (cue) giveCue(cue.tone, cue.words, settings);
  }, [runId, state, clock, settings]);
}
