// What people do on a competition day, and what happens to them, with how often; drawn by a seed. Each is a line of a story.

const MINUTE_MS = 60_000;

/** A repeatable random number (mulberry32). */
export function randomOf(seed) {
  let a = seed >>> 0;
  return () => {
    a = (a + 0x6d2b79f5) | 0;
    let t = Math.imul(a ^ (a >>> 15), 1 | a);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
  };
}

const MAY_RUN = new Set(["owner", "coach", "assistant"]);
const MAY_BUILD = new Set(["owner", "coach"]);

/** Each act: how often, what is drawn for it, what it does, and how it is told. */
export const ACTS = {
  move: {
    weight: 8,
    draw: (r) => ({ start: r.start(), minutes: r.pick([-5, -1, 1, 5]) }),
    may: MAY_RUN,
    do: ({ device, startId }, { minutes }) => device.page.acts.move(startId, minutes),
    words: ({ start, minutes }) => `moves start ${start + 1} by ${minutes > 0 ? "+" : ""}${minutes}`,
  },
  moveInRun: {
    weight: 3,
    draw: (r) => ({ start: r.start(), minutes: r.pick([-5, 5]) }),
    may: MAY_RUN,
    do: ({ device, startId }, { minutes }) => device.page.acts.moveInRun(startId, minutes),
    words: ({ start, minutes }) => `moves start ${start + 1} by ${minutes} within its run`,
  },
  begin: {
    weight: 3,
    draw: (r) => ({ start: r.start() }),
    may: MAY_RUN,
    do: ({ device, startId }) => device.page.acts.begin(startId),
    words: ({ start }) => `begins the run of start ${start + 1}`,
  },
  follow: {
    weight: 4,
    draw: (r) => ({ start: r.start() }),
    may: MAY_RUN,
    do: ({ device, startId }) => device.page.acts.follow(startId),
    words: ({ start }) => `follows the run of start ${start + 1}`,
  },
  takeOver: {
    weight: 2,
    draw: (r) => ({ start: r.start() }),
    may: MAY_RUN,
    do: ({ device, startId }) => device.page.acts.takeOver(startId),
    words: ({ start }) => `takes over the run of start ${start + 1}`,
  },
  press: {
    weight: 8,
    draw: (r) => ({ start: r.start(), kind: r.pick(["hold", "release", "done", "back"]) }),
    may: MAY_RUN,
    do: ({ device, startId }, { kind }) => device.page.acts.press(startId, kind),
    words: ({ start, kind }) => `presses ${kind} in the run of start ${start + 1}`,
  },
  tick: {
    weight: 4,
    draw: (r) => ({ start: 0, line: r.pick(["Skates", "Dress", "Music"]), isOn: r.pick([true, false]) }),
    do: ({ device, startId }, { line, isOn }) => device.page.acts.tick(startId, line, isOn),
    words: ({ line, isOn }) => `ticks ${line} ${isOn ? "off" : "no more"}`,
  },
  day: {
    weight: 2,
    draw: (r) => ({ start: 0, note: `Note ${r.below(100)}` }),
    may: MAY_BUILD,
    do: ({ device, startId }, { note }) => device.page.acts.day(startId, note),
    words: ({ note }) => `changes the day of start 1: ${note}`,
  },
  decide: {
    weight: 2,
    draw: (r) => ({ side: r.pick(["mine", "theirs"]) }),
    may: MAY_BUILD,
    do: ({ device }, { side }) => device.page.acts.decide(side),
    words: ({ side }) => `sees what waits for it, and keeps ${side}`,
  },
  plan: {
    weight: 3,
    draw: (r) => ({ start: r.start(), points: 10 + r.below(30) }),
    may: MAY_BUILD,
    do: ({ device, startId }, { points }) => device.page.acts.plan(startId, points),
    words: ({ start, points }) => `sets the largest step of start ${start + 1} to ${points}`,
  },
  edit: {
    weight: 4,
    draw: (r) => ({ start: r.start(), title: `Title ${r.below(100)}`, inGroup: r.pick([true, false]) }),
    may: MAY_BUILD,
    do: ({ device, startId, world }, { title, inGroup, start }) =>
      device.page.acts.edit(startId, title, inGroup ? [world.athletes[(start + 1) % 3].id] : []),
    words: ({ start, title, inGroup }) => `edits start ${start + 1}: ${inGroup ? "a group" : title}`,
  },
  offline: {
    weight: 2,
    draw: () => ({}),
    do: ({ device }) => {
      device.isOnline = false;
      device.page.tell("offline");
    },
    words: () => "loses its network",
  },
  online: {
    weight: 3,
    draw: () => ({}),
    do: ({ device }) => device.goOnline(),
    words: () => "has its network again",
  },
  losesAnswers: {
    weight: 1,
    draw: () => ({}),
    do: ({ device }) => {
      device.losesAnswers = true;
    },
    words: () => "is heard, and hears no answers",
  },
  reload: {
    weight: 2,
    draw: () => ({}),
    do: ({ device }) => device.reopen(),
    words: () => "reloads the page",
  },
  tab: {
    weight: 1.5,
    draw: () => ({}),
    do: ({ device }) => {
      if (device.tabs.length < 2) device.reopen({ isNew: true });
      else device.front = 1 - device.front;
    },
    words: () => "goes to its other tab",
  },
  clock: {
    weight: 1,
    draw: (r) => ({ minutes: r.pick([-10, -4, 3, 10]) }),
    do: ({ device }, { minutes }) => {
      device.off = minutes * MINUTE_MS;
    },
    words: ({ minutes }) => `has its clock set ${minutes} min off`,
  },
  switch: {
    weight: 1,
    draw: (r) => ({ person: r.below(4) }),
    async do({ device, world }, { person }) {
      // Nobody signs in where the server is not heard.
      if (!device.isOnline || device.losesAnswers || device.server.isDown) return false;
      await device.handOver(world.people[person]);
      return true;
    },
    words: ({ person }) => `is handed to person ${person + 1}, who signs in`,
  },
  expires: {
    weight: 0.7,
    draw: () => ({}),
    do: ({ device }) => {
      device.cookie = null;
    },
    words: () => "(its session ends)",
  },
  listen: {
    weight: 1,
    draw: () => ({}),
    do: ({ world }) => world.house.cutListen(),
    words: () => "(the connection that listens for changes is cut)",
  },
  kill: {
    weight: 0.4,
    draw: (r) => ({ for: r.pick([2_000, 20_000]), server: r.below(2) }),
    do: async ({ world }, { for: time, server }) => {
      // One is left, as long as the other is away.
      if (world.house.servers.some((one) => one.isDown)) return false;
      await world.house.servers[server].kill(world.time.now() + time);
      return true;
    },
    words: ({ for: time, server }) =>
      `(server ${server + 1} is killed, and comes again after ${time / 1000} s)`,
  },
  withdraw: {
    weight: 0.2,
    draw: (r) => ({ person: r.pick([1, 2]) }),
    async do({ world }, { person }) {
      if (world.people[person].isOut) return false;
      await world.withdraw(world.people[person]);
      return true;
    },
    words: ({ person }) => `(person ${person + 1} is put out of the club)`,
  },
  delete: {
    weight: 0.3,
    draw: () => ({ start: 2 }),
    async do({ world, startId }) {
      if (world.deleted.has(startId)) return false;
      await world.deleteStart(startId);
      return true;
    },
    words: () => "(start 3 is deleted)",
  },
  release: {
    weight: 0.2,
    draw: () => ({}),
    do: ({ world }) => {
      world.isReleased = true;
    },
    words: () => "(a later release answers from now on)",
  },
};

/** Each name as often as its weight says, in fifths. */
const HAT = Object.entries(ACTS).flatMap(([name, { weight }]) => Array(Math.round(weight * 5)).fill(name));

/** How often a press comes again, the next is on the same phone, a minute passes in which nothing happens, and a day is a late one. */
const AGAIN = 0.35;
const STAYS = 0.4;
const RARELY = 0.03;
const LATE = 0.3;

/** How long after the act before it one comes, the same again and another, milliseconds. */
const GAPS_MS = [50, 200, 600, 900];
const LATER = [50, 200, 600, 2_000, 8_000, 15_000];

/** The course of a seed: who does what, and how long after the one before. */
export function courseOf(seed, length) {
  const chance = randomOf(seed);
  const below = (n) => Math.floor(chance() * n);
  const r = { below, pick: (list) => list[below(list.length)], start: () => below(3) };
  const devices = 2 + below(3);
  const acts = [];
  for (let i = 0; i < length; i++) {
    const before = acts.at(-1);
    // A thumb presses the same several times, also while the first press is on its way.
    const isAgain = before && chance() < AGAIN;
    const name = isAgain ? before.name : r.pick(HAT);
    const after = r.pick(isAgain ? GAPS_MS : chance() < RARELY ? [60_000] : LATER);
    const drawn = ACTS[name].draw(r);
    if (isAgain && "start" in drawn) drawn.start = before.with.start;
    const device = isAgain || (before && chance() < STAYS) ? before.device : below(devices);
    acts.push({ name, device, after, with: drawn });
  }
  // Some days go on past midnight.
  return { seed, devices, acts, isLate: chance() < LATE };
}
