// How long all checks take on every edit, and trying what mends each finding. `npm run bench`.
import { checkPlan } from "../src/checks/checkPlan";
import { judgeFully } from "../src/checks/judge";
import { situationOf } from "../src/checks/terms/situation";
import { fitPlan } from "../src/fit/fit";
import { noProfile, openDay, plainEvent, usualSetting } from "../src/index";
import { idsFrom } from "../src/maths/idsFrom";
import { anyShelf } from "../test/made/shelf";
import { median } from "./median";
import { benchPlan } from "./plans";

for (const drills of [12, 30, 90]) {
  const plan = benchPlan(drills);
  const fit = fitPlan(plan, 3600);
  const input = {
    plan,
    fit,
    context: openDay(),
    setting: { ...usualSetting(), temperature: 31, indoors: false },
    athlete: { ...noProfile(), ageBand: "13-15" as const, usualReps: 200 },
    event: {
      ...plainEvent("Final"),
      actions: ["jump", "throw"],
      areas: ["hip" as const, "shoulder" as const],
    },
    day: "2026-11-27",
    readySeconds: 3600,
    untilStart: 3000,
    shelf: [],
    earlier: [],
    culprit: null,
  };
  const situation = situationOf(input);
  const found = checkPlan(situation);
  const checked = median(41, () => checkPlan(situation));
  const worked = median(41, () => checkPlan(situationOf(input)));
  console.log(
    `all checks of ${drills} drills: ${checked.toFixed(2)} ms, with the forecast ${worked.toFixed(2)} ms (${found.length} findings)`,
  );
  if (drills > 30) continue;
  const full = { ...input, shelf: anyShelf(200, 1), figures: [] };
  const tried = median(5, () => judgeFully(full, idsFrom("trial")));
  console.log(`what mends them, tried, from a shelf of 200: ${tried.toFixed(0)} ms`);
}
