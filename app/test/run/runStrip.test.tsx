import { render, screen } from "@testing-library/react-native";
import { fitPlan, runPlanOf } from "@tonodrome/core";
import type { KeptRun } from "~/data/runs/keptRun";
import { RunStrip } from "~/features/run/RunStrip";
import { makeStart, twoMinutePlan } from "~/test/made/makeStart";

jest.mock("expo-router", () => {
  const { View } = require("react-native");
  return { Link: ({ children }: { children: unknown }) => <View>{children}</View> };
});

const start = makeStart({}, twoMinutePlan);
const plan = runPlanOf(fitPlan(twoMinutePlan, 600), start.startsAt);
const kept = (athleteName: string) =>
  ({
    run: { id: athleteName, athleteName, startsAt: start.startsAt, plan },
    events: [],
  }) as unknown as KeptRun;
const now = Date.parse(start.startsAt) - 900_000;
const runs = [kept("Noor"), kept("Ilse"), kept("Bastian")];
const names = () => JSON.stringify(screen.toJSON()).match(/Noor|Ilse|Bastian/g) ?? [];

it("has the run that is shown at the edge and whoever starts next beside it", () => {
  render(<RunStrip runs={runs} here="Bastian" now={now} />);
  expect(names()).toEqual(["Bastian", "Noor", "Ilse"]);
});

it("is not there for one run alone", () => {
  render(<RunStrip runs={runs.slice(0, 1)} here="Noor" now={now} />);
  expect(names()).toEqual([]);
});
