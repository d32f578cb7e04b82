import type { DrillInput, DrillWrite } from "@tonodrome/core/api";
import { useClubList, useMake, useRewrite } from "~/data/resources/resource";

/** The club's shelf. */
export const useDrills = (enabled = true) =>
  useClubList("drillList", "/drills", "drills", { enabled, atSight: true });

/** Adds a drill to the shelf. */
export const useCreateDrill = () => useMake<DrillInput, "drill">("drill", "drillInput", "/drills", "drills");

/** Writes a drill of the shelf over. */
export const useSaveDrill = () => useRewrite<DrillWrite, "drill">("drill", "/drills", "drills");
