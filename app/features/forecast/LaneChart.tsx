import type { CurvePoint, Lane } from "@tonodrome/core/forecast";
import { memo } from "react";
import { BandChart } from "~/ui/chart/BandChart";
import { LANE_TITLES, LANE_TOPS } from "./lanes";

const HEIGHT = 84;

interface LaneChartProps {
  lane: Lane;
  /** Evenly spaced in time. */
  points: readonly CurvePoint[];
  width: number;
  /** Where the start is, as a share of the points' time from 0 to 1. */
  startAt: number;
}

/** One lane: the middle as a line, most people as a band, and the start as a line across. */
export const LaneChart = memo(function LaneChart({ lane, points, width, startAt }: LaneChartProps) {
  const of = (end: "low" | "middle" | "high") => points.map((p) => Math.max(0, p.state[lane][end]));
  return (
    <BandChart
      label={`${LANE_TITLES[lane]}, drawn`}
      width={width}
      height={HEIGHT}
      low={of("low")}
      middle={of("middle")}
      high={of("high")}
      top={LANE_TOPS[lane]}
      markAt={startAt * (points.length - 1)}
    />
  );
});
