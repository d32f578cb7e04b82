import type { Conditions } from "./setting";

/** How hot it is to work in: the higher, the more has to change. */
export type HeatBand = "none" | "warm" | "hot" | "very-hot";

/** From these wet-bulb globe temperatures on, °C; what changes in each is said by the check for heat. Sports bodies' usual borders. */
const FROM: readonly [HeatBand, number][] = [
  ["very-hot", 30],
  ["hot", 28],
  ["warm", 23],
];

/** Humidity that is taken where nobody looked, per cent; custom, a warm day's. */
export const USUAL_HUMIDITY = 50;

/**
 * Wet-bulb globe temperature in the shade, °C, by the simplified formula of the Australian Bureau of Meteorology:
 * 0.567 T + 0.393 e + 3.94, with e the vapour pressure in hPa. Sun adds to it.
 * @param temperature °C; @param humidity relative, per cent
 */
export function wetBulbGlobe(temperature: number, humidity: number): number {
  const vapour = (humidity / 100) * 6.105 * Math.exp((17.27 * temperature) / (237.7 + temperature));
  return 0.567 * temperature + 0.393 * vapour + 3.94;
}

/** Hot enough that a warm-up becomes shorter, in the shade, with less priming. */
export function isHot(conditions: Parameters<typeof heatBandOf>[0]): boolean {
  const band = heatBandOf(conditions);
  return band === "hot" || band === "very-hot";
}

/** How hot it is; "none" where the temperature is not known. */
export function heatBandOf({
  temperature,
  humidity,
}: Pick<Conditions, "temperature" | "humidity">): HeatBand {
  if (temperature === null) return "none";
  const globe = wetBulbGlobe(temperature, humidity ?? USUAL_HUMIDITY);
  return FROM.find(([, from]) => globe >= from)?.[0] ?? "none";
}
