import type { CurvePoint, Lane } from "@tonodrome/core/forecast";
import { memo } from "react";
import { View } from "react-native";
import { LineChart } from "react-native-chart-kit";
import { Line, Polygon } from "react-native-svg";
import { LANE_TITLES, LANE_TOPS } from "./lanes";

/** The chart's own share of its height that it plots in: the rest is for labels, which stand outside here. */
const PLOT = 0.75;
const HEIGHT = 84;
const TOP = 6;

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
  const [low, middle, high] = [of("low"), of("middle"), of("high")];
  const top = Math.max(LANE_TOPS[lane], ...high);
  const color = (name: string) => () => `var(--${name})`;
  return (
    <View
      style={{ height: HEIGHT * PLOT + TOP + 4, overflow: "hidden" }}
      role="img"
      aria-label={`${LANE_TITLES[lane]}, drawn`}
    >
      <LineChart
        data={{
          labels: [],
          datasets: [
            { data: middle, color: color("ink"), strokeWidth: 3 },
            // Keeps the scale the same whatever the day.
            { data: [top], color: () => "transparent", withDots: false },
          ],
        }}
        width={width}
        height={HEIGHT}
        fromZero
        transparent
        withDots={false}
        withShadow={false}
        withInnerLines={false}
        withVerticalLines={false}
        withHorizontalLabels={false}
        withVerticalLabels={false}
        style={{ paddingRight: 0, paddingTop: TOP }}
        chartConfig={{
          color: color("ink"),
          labelColor: color("ink"),
          propsForBackgroundLines: { stroke: "var(--line)", strokeWidth: 2, strokeDasharray: "" },
        }}
        decorator={() => {
          const x = (i: number) => (i * width) / points.length;
          const y = (value: number) => (HEIGHT - (HEIGHT * value) / top) * PLOT + TOP;
          const upper = high.map((v, i) => `${x(i)},${y(v)}`);
          const lower = low.map((v, i) => `${x(i)},${y(v)}`).reverse();
          const start = x(startAt * (points.length - 1));
          return [
            <Polygon
              key="band"
              points={[...upper, ...lower].join(" ")}
              fill="var(--ink)"
              fillOpacity={0.22}
            />,
            <Line
              key="start"
              x1={start}
              x2={start}
              y1={0}
              y2={HEIGHT}
              stroke="var(--signal)"
              strokeWidth={4}
            />,
          ];
        }}
      />
    </View>
  );
});
