// Breaks lines one at a time and asks whether the tests notice: `npm run mutants`, or some rooms: `npm run mutants -- run data`,
// or the lines of a room whose names have these words in them: `npm run mutants -- run/"what is over"`.
// A line that no longer reads as its list says is named too, so that the lists keep up with the code.
import { spawn } from "node:child_process";
import { availableParallelism } from "node:os";
import { roomNames, roomOf, stands } from "./lib/mutantRooms.mjs";
import { inRoot, root } from "./lib/paths.mjs";
import { main, Stop, say } from "./lib/say.mjs";

const jest = inRoot("node_modules", ".bin", "jest");

/** Far longer than the tests of a room take, milliseconds. */
const LONGEST = 60_000;

/** Generated cases for one broken line, unless its list says otherwise: as many as tell them apart. */
const RUNS = 1500;

/** Runs a room's tests; resolves to whether they pass. Generated tests are fewer than otherwise: many mutants are tried. */
function passes({ project, tests, runs = RUNS }, mutant) {
  const projects = project === "app" ? ["app", "app-plain"] : [project];
  const args = ["--selectProjects", ...projects, "--testPathPattern", tests, "--bail", "--silent", "-w", "1"];
  return new Promise((resolve, reject) => {
    const child = spawn(jest, args, {
      cwd: root,
      stdio: "ignore",
      env: { ...process.env, RUNS: String(runs), ...(mutant ? { MUTANT: JSON.stringify(mutant) } : {}) },
    });
    // A line that goes on for ever is noticed, too.
    const timer = setTimeout(() => child.kill("SIGKILL"), mutant ? LONGEST : 0x7fffffff);
    child.on("error", reject);
    child.on("exit", (code) => {
      clearTimeout(timer);
      resolve(code === 0);
    });
  });
}

/** Does something with each of a list, so many at a time. */
async function each(list, together, act) {
  const left = [...list.entries()];
  await Promise.all(
    Array.from({ length: together }, async () => {
      for (let next = left.shift(); next; next = left.shift()) await act(next[1], next[0]);
    }),
  );
}

main(async () => {
  const all = roomNames();
  const asked = process.argv.slice(2);
  const rooms = asked.length > 0 ? asked : all;
  /** Rooms whose tests are known to pass as they are. */
  const tried = new Set();
  let missed = 0;
  let total = 0;
  for (const asked of rooms) {
    const [name, words = ""] = asked.split("/");
    if (!all.includes(name))
      throw new Stop(`There is no list of mutants for ${name}.`, `There are ${all.join(", ")}.`);
    const room = await roomOf(name);
    const mutants = room.mutants.filter(([what]) => what.includes(words));
    if (!tried.has(name) && !(await passes(room)))
      throw new Stop(`The tests of ${name} do not pass as they are.`, "Mend them first.");
    tried.add(name);
    let noticed = 0;
    await each(mutants, Math.max(1, availableParallelism()), async (mutant) => {
      const [what, file, from, to, tests = room.tests] = mutant;
      if (!stands(mutant) || (await passes({ ...room, tests }, { file, from, to })))
        say(`  ${stands(mutant) ? "not noticed" : "reads otherwise"}: ${what} (${file})`);
      else noticed++;
    });
    say(`${asked}: ${noticed} of ${mutants.length} noticed`);
    missed += mutants.length - noticed;
    total += mutants.length;
  }
  say(`\n${total - missed} of ${total} noticed, ${Math.round((100 * (total - missed)) / total)} %`);
  if (missed > 0.05 * total) process.exitCode = 1;
});
