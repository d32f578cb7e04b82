import type { Tone } from "@tonodrome/core";

/** Our own tones: pairs of pitch (hertz) and length (seconds), one after the other. */
const TONES = {
  /** A step begins. */
  begin: [
    [523, 0.12],
    [784, 0.18],
  ],
  /** Ten seconds are left of it. */
  soon: [[659, 0.09]],
  /** Its time is over. */
  over: [
    [784, 0.14],
    [523, 0.22],
  ],
  /** The next set, rest or side. */
  part: [[587, 0.07]],
  /** The start is near. */
  start: [
    [880, 0.12],
    [880, 0.12],
    [1175, 0.3],
  ],
} as const satisfies Record<Tone, readonly (readonly [number, number])[]>;

let context: AudioContext | null = null;

/** Plays a tone. A browser lets a page sound only after something was pressed; before that it is silent. */
export function playTone(tone: Tone): void {
  if (typeof AudioContext === "undefined") return;
  context ??= new AudioContext();
  void context.resume();
  let at = context.currentTime;
  for (const [pitch, length] of TONES[tone]) {
    const sound = context.createOscillator();
    const loudness = context.createGain();
    sound.frequency.value = pitch;
    sound.type = "triangle";
    // Rises and falls softly: a tone that is cut clicks.
    loudness.gain.setValueAtTime(0, at);
    loudness.gain.linearRampToValueAtTime(0.5, at + 0.015);
    loudness.gain.setValueAtTime(0.5, at + length - 0.03);
    loudness.gain.linearRampToValueAtTime(0, at + length);
    sound.connect(loudness).connect(context.destination);
    sound.start(at);
    sound.stop(at + length);
    at += length + 0.03;
  }
}

/** Says something aloud, where the browser can; whatever it was saying is cut short. */
export function speak(words: string): void {
  if (typeof speechSynthesis === "undefined") return;
  speechSynthesis.cancel();
  speechSynthesis.speak(new SpeechSynthesisUtterance(words));
}

const BUZZES: Record<Tone, number[]> = {
  begin: [120],
  soon: [40],
  over: [200, 80, 200],
  part: [50],
  start: [300, 100, 300, 100, 500],
};

/** Buzzes, where the device can. */
export function buzz(tone: Tone): void {
  navigator.vibrate?.(BUZZES[tone]);
}
