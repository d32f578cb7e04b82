import type { Scale } from "@tonodrome/core";
import { createContext, useContext } from "react";

/** Of somebody without any; one list, so that nothing is drawn anew for it. */
export const NO_SCALES: readonly Scale[] = [];

/** The scales of the athlete whose ladder is being made; none on the shelf, which belongs to nobody. */
export const ScalesContext = createContext(NO_SCALES);

/** The athlete's own scales, for naming rungs. */
export const useScales = () => useContext(ScalesContext);
