import { render } from "@testing-library/react-native";
import { BandChart } from "~/ui/chart/BandChart";

/** The points of what is drawn, as numbers. */
const pointsOf = (text: string) =>
  text
    .trim()
    .split(/\s+/)
    .map((pair) => pair.split(",").map(Number));

it("draws the band where the chart draws its line, and the mark where its point is", () => {
  const values = [0, 12, 40, 25];
  const { UNSAFE_root } = render(
    <BandChart
      label="Warmth, drawn"
      width={320}
      height={84}
      low={values}
      middle={values}
      high={values}
      top={50}
      markAt={2}
    />,
  );
  const drawn = (name: string) => UNSAFE_root.findAll((node) => String(node.type).toLowerCase() === name);
  const line = drawn("polyline").map(({ props }) => pointsOf(props.points))[0] ?? [];
  const band = drawn("polygon").map(({ props }) => pointsOf(props.points))[0] ?? [];
  expect(line).toHaveLength(values.length);
  // A band of no width lies on the line, there and back.
  for (const [i, [x, y]] of [...line, ...[...line].reverse()].entries()) {
    expect(band[i]?.[0]).toBeCloseTo(x as number, 6);
    expect(band[i]?.[1]).toBeCloseTo(y as number, 6);
  }
  const mark = drawn("line").find(({ props }) => props.stroke === "var(--signal)");
  expect(Number(mark?.props.x1)).toBeCloseTo(line[2]?.[0] as number, 6);
});
