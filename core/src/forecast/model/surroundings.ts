import type { AthleteProfile } from "../../athlete/profile";
import type { Conditions } from "../../conditions/setting";
import {
  LEAST_USUAL,
  LITTLE_TRAINED_COST,
  MOST_USUAL,
  NEUTRAL_AIR,
  THIRD_DAY_COST,
  USUAL_MINUTES,
} from "./parameters";

/** What of the day and of the athlete the forecast goes by. */
export interface Surroundings {
  /** Of the air, °C. */
  temperature: number;
  /** Whether warm layers are kept on. */
  layers: boolean;
  /** How much of strong wind there is, 0 to 1; none indoors. */
  wind: number;
  /** Whether it is wet; never indoors. */
  wet: boolean;
  /** Minutes of an ordinary session. */
  usualMinutes: number;
  /** How much more work costs than usual, a factor. */
  cost: number;
  /** What is not known and was taken to be something, in sentences. */
  unknown: readonly string[];
}

const WIND: Record<Conditions["wind"], number> = { calm: 0, breeze: 0.5, strong: 1 };

/** The day from which day after day of competition makes work cost more. */
const THIRD_DAY = 3;

/** What is known of an athlete's training; null where nothing is. */
export type Training = Pick<AthleteProfile, "usualMinutes" | "recentLoad">;

/**
 * Looks up what the forecast goes by. What is not known is taken to be as it mostly is, and said.
 * @example surroundingsOf(conditionsOf(start.setting), null) // nobody's training is known
 */
export function surroundingsOf(conditions: Conditions, training: Training | null): Surroundings {
  const { indoors, temperature, wind, wet, day, layers } = conditions;
  const usual = training?.usualMinutes ?? 0;
  const unknown = [
    ...(temperature === null ? [`The temperature is not known: ${NEUTRAL_AIR} °C taken.`] : []),
    ...(layers === undefined ? ["Whether warm layers are there is not known: none taken."] : []),
    ...(usual === 0 ? [`An ordinary session is not known: ${USUAL_MINUTES} min taken.`] : []),
  ];
  return {
    temperature: temperature ?? NEUTRAL_AIR,
    layers: layers ?? false,
    wind: indoors ? 0 : WIND[wind],
    wet: !indoors && wet,
    usualMinutes: usual === 0 ? USUAL_MINUTES : Math.min(MOST_USUAL, Math.max(LEAST_USUAL, usual)),
    cost:
      (training?.recentLoad === "little" ? LITTLE_TRAINED_COST : 1) * (day >= THIRD_DAY ? THIRD_DAY_COST : 1),
    unknown,
  };
}
