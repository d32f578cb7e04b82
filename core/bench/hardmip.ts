import highsLoader from "highs";
import { hardDay } from "/tmp/hard";
import { lpText, mipModel } from "../src/testing/mipModel";
const load = (highsLoader as any).default ?? highsLoader;
const highs = await load();
const [,, drills, seed, which] = process.argv;
const d = hardDay(Number(drills), Number(seed), which!.split(""));
const model = mipModel(d.plan, d.day, d.availableSeconds);
const reached: number[] = [];
model.stages.forEach((_: any, stage: number) => {
  const t = performance.now();
  const r = highs.solve(lpText(model, stage, reached), { mip_rel_gap: 0 });
  reached.push(Math.round(r.ObjectiveValue));
  console.log(stage, r.ObjectiveValue, (performance.now() - t).toFixed(0), "ms");
});
