// Plays a course: everything in it, then calm, then the rules. And makes one that breaks something as short as it can.
import { ACTS } from "./acts.mjs";
import { endOf, RULES } from "./rules.mjs";
import { openWorld } from "./world.mjs";

/** Once everything is connected everybody agrees after so long, or after as long again, milliseconds of the simulation's time. */
const CALM = 45_000;

/** Plays a course. @returns what is wrong at its end, in words; and its story */
export async function play(house, script, course) {
  const world = await openWorld(house, script, course);
  const story = [];
  const tell = (device, words) =>
    story.push(
      `${new Date(world.time.now()).toISOString().slice(11, 19)} ${device.name} (${device.person?.role ?? "nobody"}) ${words}`,
    );
  try {
    for (const [i, device] of world.devices.entries())
      await world.time.until(device.signIn(world.people[i % 3]), world.step);
    await world.time.pass(3_000, world.step);
    for (const { name, device: at, after, with: drawn } of course.acts) {
      await world.time.pass(after, world.step);
      const device = world.devices[at];
      const act = ACTS[name];
      // While somebody signs in there is nothing to press.
      if (device.isHandedOver || (act.may && !act.may.has(device.person?.role))) continue;
      const startId = drawn.start === undefined ? null : world.starts[drawn.start].id;
      world.log.acts++;
      const did = await Promise.race([
        Promise.resolve(act.do({ device, world, startId }, drawn)).catch(() => false),
        world.time.pass(0, world.step).then(() => undefined),
      ]);
      for (const id of device.page?.made() ?? [])
        if (!world.log.made.has(id)) world.log.made.set(id, device.person.id);
      if (did === false) continue;
      if (name.startsWith("move")) world.log.moved++;
      if (did !== undefined) note(world, device, startId, name, drawn);
      tell(device, act.words(drawn));
    }
    for (const device of world.devices) device.goOnline();
    let wrong = [];
    for (let calm = 0; calm < 2 && (calm === 0 || wrong.length > 0); calm++) {
      await world.time.pass(CALM, world.step);
      const end = await endOf(world);
      wrong = Object.entries(RULES).flatMap(([rule, holds]) =>
        holds(world, end).map((words) => ({ rule, words })),
      );
    }
    return { wrong, story };
  } finally {
    for (const device of world.devices) for (const tab of device.tabs) tab.end();
  }
}

/** Notes what was pressed of a start, for the rules. A move within a run and one of a group are by whoever did them. */
function note({ log }, device, startId, name, { minutes = 0, title = null, inGroup = false, line, isOn }) {
  if (name === "tick") {
    const by = log.ticked.get(line)?.by ?? new Set();
    log.ticked.set(line, { by: by.add(device), isOn });
  }
  if (!["move", "moveInRun", "edit"].includes(name)) return;
  const before = log.pressed.get(startId) ?? { by: new Set(), minutes: 0, title: null, hasMoved: false };
  log.pressed.set(startId, {
    by: before.by.add(device),
    minutes: before.minutes + minutes,
    title: name === "edit" && !inGroup ? title : before.title,
    hasMoved: before.hasMoved || name !== "edit",
  });
}

/** A course that breaks the same rule with as few acts as that takes. */
export async function shrink(house, script, course, rule, tries = 40) {
  let best = course;
  let size = Math.ceil(course.acts.length / 2);
  for (let left = tries; left > 0 && size >= 1; ) {
    let isSmaller = false;
    for (let from = 0; from < best.acts.length && left > 0; from += size, left--) {
      const acts = [...best.acts.slice(0, from), ...best.acts.slice(from + size)];
      const { wrong } = await play(house, script, { ...best, acts });
      if (!wrong.some((w) => w.rule === rule)) continue;
      best = { ...best, acts };
      isSmaller = true;
      break;
    }
    if (!isSmaller) size = Math.floor(size / 2);
  }
  return best;
}
