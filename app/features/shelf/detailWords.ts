import type { BodyArea, Distance, DrillFlag, Purpose, Realism } from "@tonodrome/core";
import { BODY_AREAS, distanceSchema, drillFlagSchema, PURPOSES, realismSchema } from "@tonodrome/core";

const capital = (word: string) => `${word[0]?.toUpperCase() ?? ""}${word.slice(1)}`;

const REALISM: Record<Realism, string> = {
  alone: "Standing, self-fed",
  approach: "With the approach",
  feed: "Answering a feed",
  competition: "As in competition",
};

const FLAGS: Record<DrillFlag, string> = {
  "static-hold": "Held stretch",
  explosive: "Explosive",
  breather: "Breather",
  "no-condition": "Nothing depends on it",
  "venue-temperature": "Must come to the venue's temperature",
};

const option = <T extends string>(value: T, label: string) => ({ value, label });

/** Purposes of a drill, to choose from. */
export const PURPOSE_OPTIONS = PURPOSES.map((p: Purpose) => option(p, capital(p.replace("-", " "))));
/** Parts of the body, to choose from. */
export const AREA_OPTIONS = BODY_AREAS.map((a: BodyArea) => option(a, capital(a)));
/** What else is to be known of a drill, to choose from. */
export const FLAG_OPTIONS = drillFlagSchema.options.map((f) => option(f, FLAGS[f]));
/** How near to competition a drill is, to choose from. */
export const REALISM_OPTIONS = realismSchema.options.map((r) => option(r, REALISM[r]));
/** How far a drill is done from, to choose from. */
export const DISTANCE_OPTIONS = distanceSchema.options.map((d: Distance) => option(d, capital(d)));
