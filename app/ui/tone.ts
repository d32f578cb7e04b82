import { tones } from "./tokens";

/** The tone step of an intensity: 1, pale and easy, to 7, full ink at competition. */
export function toneOf(intensity: number): number {
  return Math.min(tones, Math.max(1, Math.ceil((intensity / 100) * tones)));
}

// Written out, because Tailwind only keeps classes it can read in the source.
const FILL = ["", "bg-tone-1", "bg-tone-2", "bg-tone-3", "bg-tone-4", "bg-tone-5", "bg-tone-6", "bg-tone-7"];
const TEXT = [
  "",
  "text-on-tone-1",
  "text-on-tone-2",
  "text-on-tone-3",
  "text-on-tone-4",
  "text-on-tone-5",
  "text-on-tone-6",
  "text-on-tone-7",
];

/** Classes for a surface of this intensity and the text on it. */
export function toneClasses(intensity: number): { fill: string; text: string } {
  const tone = toneOf(intensity);
  return { fill: FILL[tone] ?? "", text: TEXT[tone] ?? "" };
}
