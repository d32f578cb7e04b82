// Which way the imports go: the rules of .dependency-cruiser.cjs, and no circle between folders, tests and benches among them.
import { readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { folderCircles } from "./lib/circles.mjs";
import { run } from "./lib/command.mjs";
import { inRoot } from "./lib/paths.mjs";
import { main, say } from "./lib/say.mjs";

const ROOMS = [
  "core/src",
  "core/test",
  "core/bench",
  "cli",
  "server/src",
  "server/test",
  "server/bench",
  "e2e",
];
const APP = ["app", "data", "early", "features", "test", "ui"].map((room) => `app/${room}`);
const bin = (name) => inRoot("node_modules", ".bin", name);

main(async () => {
  const graph = join(tmpdir(), `arrows-${process.pid}.json`);
  const config = ["--config", ".dependency-cruiser.cjs"];
  await run(bin("depcruise"), [...config, "--output-type", "json", "--output-to", graph, ...ROOMS, ...APP]);
  const broken = await run(bin("depcruise-fmt"), ["--exit-code", "--output-type", "err", graph]);
  const { modules } = JSON.parse(readFileSync(graph, "utf8"));
  rmSync(graph);
  const own = (path) => !path.includes("node_modules");
  const edges = modules.flatMap(({ source, dependencies }) =>
    dependencies.filter((d) => own(source) && own(d.resolved)).map((d) => [source, d.resolved]),
  );
  const circles = folderCircles(edges);
  for (const circle of circles) say(`  error folders in a circle: ${circle.join(", ")}`);
  if (circles.length === 0) say("No folders in a circle.");
  if (broken !== 0 || circles.length > 0) process.exitCode = 1;
});
