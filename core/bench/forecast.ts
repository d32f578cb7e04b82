// How long the forecast takes: what the dock says, the curves, the top-up. `npm run bench`.
import { fitPlan } from "../src/fit/fit";
import { topUpFor } from "../src/forecast/answers/topUp";
import { curvesOf, forecastOf } from "../src/forecast/forecast";
import { surroundingsOf } from "../src/forecast/model/surroundings";
import { piecesOf } from "../src/forecast/piecesOf";
import { usualSetting } from "../src/index";
import { anyShelf } from "../test/made/shelf";
import { median } from "./median";
import { benchPlan } from "./plans";

const around = surroundingsOf({ ...usualSetting(), temperature: 14 }, null);
for (const drills of [12, 30, 90]) {
  const pieces = piecesOf(fitPlan(benchPlan(drills), 3000 + drills * 40));
  const times = Array.from({ length: 121 }, (_, i) => -3600 + i * 60);
  const told = median(41, () => forecastOf(pieces, around));
  const drawn = median(41, () => curvesOf(pieces, around, times));
  console.log(
    `forecast of ${drills} drills (${pieces.length} pieces, 64 draws): told ${told.toFixed(2)} ms, 121 points ${drawn.toFixed(2)} ms`,
  );
}
const shelf = anyShelf(500, 1);
const pieces = piecesOf(fitPlan(benchPlan(30), 2400));
const sought = median(11, () =>
  topUpFor({ pieces, around, delaySeconds: 1200, drills: shelf, withEffort: true, waitSeconds: 180 }),
);
console.log(`top-up from a shelf of 500 drills: ${sought.toFixed(1)} ms`);
