import { View } from "react-native";
import { LineChart } from "react-native-chart-kit";
import { Line, Polygon } from "react-native-svg";
import { type Given, PLOT_SHARE, plotOf } from "./plot";

const PADDING_TOP = 6;
const PADDING_BOTTOM = 4;

interface BandChartProps {
  label: string;
  width: number;
  /** Of the chart with the room for its labels, pixels; less of it is shown. */
  height: number;
  /** The line and the band around it: as many values of each, evenly spaced, from 0 up. */
  low: readonly number[];
  middle: readonly number[];
  high: readonly number[];
  /** What the scale reaches at the least. */
  top: number;
  /** A line across, as an index of the points, which may lie between two. */
  markAt: number;
}

/** A line with the band that it may lie in, and a mark across. */
export function BandChart({ label, width, height, low, middle, high, top, markAt }: BandChartProps) {
  const color = (name: string) => () => `var(--${name})`;
  const highest = Math.max(top, ...high);
  return (
    <View
      style={{ height: height * PLOT_SHARE + PADDING_TOP + PADDING_BOTTOM, overflow: "hidden" }}
      role="img"
      aria-label={label}
    >
      <LineChart
        data={{
          labels: [],
          datasets: [
            { data: [...middle], color: color("ink"), strokeWidth: 3 },
            // Keeps the scale the same whatever the line.
            { data: [highest], color: () => "transparent", withDots: false },
          ],
        }}
        width={width}
        height={height}
        fromZero
        transparent
        withDots={false}
        withShadow={false}
        withInnerLines={false}
        withVerticalLines={false}
        withHorizontalLabels={false}
        withVerticalLabels={false}
        style={{ paddingRight: 0, paddingTop: PADDING_TOP }}
        chartConfig={{
          color: color("ink"),
          labelColor: color("ink"),
          propsForBackgroundLines: { stroke: "var(--line)", strokeWidth: 2, strokeDasharray: "" },
        }}
        decorator={(given: Given) => [
          <Band key="band" given={given} low={low} high={high} />,
          <Mark key="mark" given={given} at={markAt} />,
        ]}
      />
    </View>
  );
}

function Band({ given, low, high }: { given: Given } & Pick<BandChartProps, "low" | "high">) {
  const { x, y } = plotOf(given);
  const upper = high.map((value, i) => `${x(i)},${y(value)}`);
  const lower = low.map((value, i) => `${x(i)},${y(value)}`).reverse();
  return <Polygon points={[...upper, ...lower].join(" ")} fill="var(--ink)" fillOpacity={0.22} />;
}

function Mark({ given, at }: { given: Given; at: number }) {
  const x = plotOf(given).x(at);
  return <Line x1={x} x2={x} y1={0} y2={given.height} stroke="var(--signal)" strokeWidth={4} />;
}
