import { dark, light, target, tones } from "~/ui/tokens";

function luminance(hex: string): number {
  const [r, g, b] = [1, 3, 5].map((i) => {
    const c = Number.parseInt(hex.slice(i, i + 2), 16) / 255;
    return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4;
  }) as [number, number, number];
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}

/** Contrast ratio as WCAG 2.2 defines it. */
function contrast(a: string, b: string): number {
  const [light, dark] = [luminance(a), luminance(b)].sort((x, y) => y - x) as [number, number];
  return (light + 0.05) / (dark + 0.05);
}

describe.each([
  ["paper light", light],
  ["hall dark", dark],
])("%s", (_, palette: Record<string, string>) => {
  const of = (name: string) => palette[name] as string;

  it("reads at 4.5:1 and more everywhere", () => {
    const pairs = [
      ["ink", "paper"],
      ["muted", "paper"],
      ["signal", "paper"],
      ["on-signal", "signal"],
      ["on-press", "press"],
      ...Array.from({ length: tones }, (_, i) => [`on-tone-${i + 1}`, `tone-${i + 1}`]),
    ] as [string, string][];
    for (const [text, ground] of pairs) {
      expect({ text, ground, ok: contrast(of(text), of(ground)) >= 4.5 }).toEqual({ text, ground, ok: true });
    }
  });

  it("reads at 7:1 and more on the running screen, on paper and on ink", () => {
    for (const [text, ground] of [
      ["ink", "paper"],
      ["signal", "paper"],
      ["on-press", "press"],
      ["on-fill", "fill"],
    ] as const) {
      expect({ text, ground, ok: contrast(of(text), of(ground)) >= 7 }).toEqual({ text, ground, ok: true });
    }
  });

  it("goes from pale to full ink in even steps: each tone stands out from paper more than the one before", () => {
    const steps = Array.from({ length: tones }, (_, i) => contrast(of(`tone-${i + 1}`), of("paper")));
    expect(steps).toEqual([...steps].sort((a, b) => a - b));
    expect(new Set(steps).size).toBe(tones);
  });
});

it("asks for nothing smaller than a gloved finger", () => {
  expect(target.press).toBeGreaterThanOrEqual(48);
  expect(target.run).toBeGreaterThanOrEqual(64);
});
