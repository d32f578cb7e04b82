// The hall: a simulated competition day that tries where things meet. Several phones with the application's own data layer, several
// people, the real server on the real database, and a world that goes wrong; then the rules of what must hold.
// `npm run hall -- --seed 7` plays one course, `--courses 50` so many from there on, `--seconds 60` for so long. `--bugs` puts
// bugs back one at a time, and says which courses find them.
import { parseArgs } from "node:util";
import { courseOf } from "./hall/acts.mjs";
import { BUGS } from "./hall/bugs.mjs";
import { play, shrink } from "./hall/course.mjs";
import { openHouse } from "./hall/house.mjs";
import { bundleDevice } from "./hall/realm.mjs";
import { ensurePackages } from "./lib/install.mjs";
import { root } from "./lib/paths.mjs";
import { main, Stop, say } from "./lib/say.mjs";

/** Acts of a course. */
const LENGTH = 40;

const { values } = parseArgs({
  options: {
    seed: { type: "string", default: "1" },
    courses: { type: "string" },
    seconds: { type: "string" },
    length: { type: "string", default: String(LENGTH) },
    bugs: { type: "boolean", default: false },
  },
});

/** Courses after which it is said that it goes on. */
const AT_A_TIME = 25;

/** Courses after which a bug counts as not found. */
const MOST_FOR_A_BUG = 25;

/** Puts bugs back one at a time and says after how many courses each is found, and by which rule. */
async function findBugs(house, first, most) {
  for (const bug of BUGS) {
    const script = await bundleDevice(root, bug);
    let found = null;
    let played = 0;
    while (!found && played < most) {
      const { wrong } = await play(house, script, courseOf(first + played, Number(values.length)));
      played++;
      [found] = wrong;
    }
    say(`${bug.what}: ${found ? `${played} (${found.rule}: ${found.words})` : `not in ${played}`}`);
    if (!found) process.exitCode = 1;
  }
}

main(async () => {
  await ensurePackages();
  const script = await bundleDevice(root);
  const house = await openHouse();
  // What a page leaves behind when it is closed in between is no fault.
  process.on("unhandledRejection", () => undefined);
  const first = Number(values.seed);
  const most = values.courses ? Number(values.courses) : values.seconds ? Number.POSITIVE_INFINITY : 1;
  const until = values.seconds ? performance.now() + Number(values.seconds) * 1000 : Number.POSITIVE_INFINITY;
  let played = 0;
  if (values.bugs) {
    await findBugs(house, first, values.courses ? most : MOST_FOR_A_BUG);
    return house.close();
  }
  try {
    for (let seed = first; played < most && performance.now() < until; seed++, played++) {
      const course = courseOf(seed, Number(values.length));
      const { wrong } = await play(house, script, course);
      if (played > 0 && played % AT_A_TIME === 0) say(`${played} courses`);
      if (wrong.length === 0) continue;
      const [{ rule, words }] = wrong;
      say(`Seed ${seed} breaks ${rule}: ${words}. Making it shorter …`);
      const short = await shrink(house, script, course, rule);
      const again = await play(house, script, short);
      for (const line of again.story) say(`  ${line}`);
      for (const one of again.wrong) say(`  → ${one.rule}: ${one.words}`);
      throw new Stop(
        `The hall found a fault with seed ${seed}.`,
        `Play it again: npm run hall -- --seed ${seed}`,
      );
    }
  } finally {
    await house.close();
  }
  say(`${played} courses without a fault, from seed ${first} on.`);
});
