import type { Conditions } from "./setting";

/** How cold it is to stand about in. */
export type ColdBand = "none" | "cool" | "frost" | "hard-frost";

/** Up to this air temperature out of doors one begins indoors, longer and more gradually, in layers, °C (brief for coaches; custom). */
export const COOL_AIR = 10;
/** Up to this wind chill bare skin is numbed while waiting, and up to that it freezes within half an hour, °C (Environment Canada's table). */
const FROST = -10;
const HARD_FROST = -28;

/** Wind at ten metres, km/h, that the words stand for. Custom. */
const WIND_KMH: Record<Conditions["wind"], number> = { calm: 0, breeze: 15, strong: 35 };
/** Below this the formula does not hold and the air is as cold as it is, km/h. */
const LEAST_WIND = 4.8;

/** Wind chill, °C, by the formula of 2001 (Environment Canada and US National Weather Service); the air's own from 10 °C on and in still air. */
export function windChill(temperature: number, kilometresAnHour: number): number {
  if (temperature > COOL_AIR || kilometresAnHour < LEAST_WIND) return temperature;
  const wind = kilometresAnHour ** 0.16;
  return 13.12 + 0.6215 * temperature - 11.37 * wind + 0.3965 * temperature * wind;
}

/** How cold it is out of doors; "none" indoors and where the temperature is not known. */
export function coldBandOf({
  indoors,
  temperature,
  wind,
}: Pick<Conditions, "indoors" | "temperature" | "wind">): ColdBand {
  if (indoors || temperature === null || temperature > COOL_AIR) return "none";
  const felt = windChill(temperature, WIND_KMH[wind]);
  return felt <= HARD_FROST ? "hard-frost" : felt <= FROST ? "frost" : "cool";
}
