import { type DrillInput, type DrillWrite, drillListSchema, drillSchema } from "@tonodrome/core/api";
import { useClubList, useMake, useRewrite } from "~/data/queries/resource";

/** The club's shelf. */
export const useDrills = (enabled = true) => useClubList(drillListSchema, "/drills", "drills", { enabled });

/** Adds a drill to the shelf. */
export const useCreateDrill = () => useMake<DrillInput, typeof drillSchema>(drillSchema, "/drills", "drills");

/** Writes a drill of the shelf over. */
export const useSaveDrill = () =>
  useRewrite<DrillWrite, typeof drillSchema>(drillSchema, "/drills", "drills");
