import type { Scale } from "@tonodrome/core";
import { createContext, useContext } from "react";

/** The scales of the athlete whose ladder is being made; none on the shelf, which belongs to nobody. */
export const ScalesContext = createContext<readonly Scale[]>([]);

/** The athlete's own scales, for naming rungs. */
export const useScales = () => useContext(ScalesContext);
