// What must hold once everything is connected and still, written from the documents alone. Each rule says what is wrong, in
// words, or nothing.

/** All devices and the server say the same of when each start is, and what it is called. */
function sameStarts(_world, end) {
  return end.devices.flatMap(({ device, look }) =>
    look.starts.flatMap((start) => {
      const truth = end.starts.get(start.id);
      const wrong = [];
      if (!truth) wrong.push(`${device.name} shows start ${end.numberOf(start.id)}, which is deleted`);
      if (truth && truth.startsAt !== start.startsAt)
        wrong.push(
          `${device.name} has start ${end.numberOf(start.id)} at ${clock(start.startsAt)}, the server at ${clock(truth.startsAt)}`,
        );
      if (truth && truth.title !== start.title && look.held === 0)
        wrong.push(
          `${device.name} calls start ${end.numberOf(start.id)} “${start.title}”, the server “${truth.title}”`,
        );
      if (truth && truth.points !== start.points && look.conflicts === 0)
        wrong.push(
          `${device.name} has a largest step of ${start.points} at start ${end.numberOf(start.id)}, the server ${truth.points}`,
        );
      return wrong;
    }),
  );
}

/** All devices and the server say the same of the first start's day and lists. */
function sameDay(_world, { day, devices }) {
  return devices.flatMap(({ device, look }) => {
    const wrong = [];
    if (look.day && !look.day.isEdited && look.day.note !== day.note)
      wrong.push(`${device.name} has “${look.day.note}” in the day, the server “${day.note}”`);
    for (const [line, isOn] of Object.entries(look.ticks ?? {}))
      if (isOn !== (day.ticks[line] ?? false))
        wrong.push(
          `${device.name} has ${line} ${isOn ? "ticked" : "open"}, the server ${isOn ? "open" : "ticked"}`,
        );
    return wrong;
  });
}

/** Whether a device still keeps something for the server: refused, in doubt, or waiting for whoever made it. */
const keepsSome = (end, device) =>
  end.devices.some(
    ({ device: one, look }) =>
      one === device && look.failures.length + look.held + look.unsent + look.others > 0,
  );

/** Whether what is pressed on a device alone says how it has to be: one person had it all the time, and may. */
const isAlone = (end, by) => {
  const [device] = by;
  return by.size === 1 && device.hands === 1 && !device.person.isOut && !keepsSome(end, device);
};

/** A line that one phone alone ticked is as it was pressed there last. */
function ticksCount(world, end) {
  const wrong = [];
  for (const [line, { by, isOn }] of world.log.ticked) {
    if (!isAlone(end, by)) continue;
    if ((end.day.ticks[line] ?? false) !== isOn)
      wrong.push(`${line} was ${isOn ? "ticked" : "opened again"} last, and is not`);
  }
  return wrong;
}

/** A run under way goes by where its start is, on every device that has it, and so does its log. */
function runsGoByTheirStart(_world, end) {
  const wrong = [];
  for (const { device, look } of end.devices.filter((d) => !d.device.person.isOut))
    for (const run of look.runs) {
      const truth = end.runs.get(run.id);
      if (!truth || run.isOver || run.status === "ended") continue;
      const start = end.starts.get(truth.startId);
      if (start && run.startsAt !== start.startsAt)
        wrong.push(
          `${device.name} runs start ${end.numberOf(truth.startId)} to ${clock(run.startsAt)}, which is at ${clock(start.startsAt)}`,
        );
      const missing = truth.events.filter((id) => !run.events.includes(id));
      if (missing.length > 0)
        wrong.push(`${device.name} lacks ${missing.length} presses of run ${run.id.slice(0, 4)}`);
    }
  for (const [id, { startId, moves }] of end.runs) {
    const start = end.starts.get(startId);
    if (start && moves.length > 0 && moves.at(-1) !== start.startsAt)
      wrong.push(
        `the log of run ${id.slice(0, 4)} ends with ${clock(moves.at(-1))}, its start is at ${clock(start.startsAt)}`,
      );
  }
  return wrong;
}

/** A move of a start is recorded once where it is made: a log never has two in a row that say the same. */
function movesOnce(world, end) {
  const wrong = [];
  for (const [id, { moves }] of end.runs) {
    const twice = moves.findIndex((at, i) => i > 0 && at === moves[i - 1]);
    if (twice >= 0)
      wrong.push(`the log of run ${id.slice(0, 4)} has the move to ${clock(moves[twice])} twice`);
    const most = world.log.moved;
    if (moves.length > most)
      wrong.push(`the log of run ${id.slice(0, 4)} has ${moves.length} moves, of ${most} that were pressed`);
  }
  return wrong;
}

/** Each acknowledged press is there, once. */
function nothingLost(world, end) {
  const wrong = [];
  for (const [press, { run, kind }] of world.log.acknowledged)
    if (!end.runs.get(run)?.events.includes(press))
      wrong.push(`a ${kind} that was acknowledged is not in its log`);
  return wrong;
}

/** Nothing is sent under another person's name. */
function ownName({ log, people }) {
  const roleOf = (id) => people.find((person) => person.id === id)?.role ?? "nobody";
  return [...log.names].flatMap(([press, names]) =>
    [...names]
      .filter((name) => log.made.has(press) && name !== log.made.get(press))
      .map((name) => `a press of the ${roleOf(log.made.get(press))} was sent as the ${roleOf(name)}`),
  );
}

/** What is here is sent, or somebody is told why it is not. */
function nothingStuck(_world, end) {
  return end.devices.flatMap(({ device, look }) => {
    const told =
      look.failures.length +
      look.conflicts +
      look.found +
      look.held +
      look.runs.filter((r) => r.refused).length;
    return look.unsent > 0 && told === 0
      ? [`${device.name} has ${look.unsent} unsent, and says nothing of it`]
      : [];
  });
}

/** Requests of a device stay under a bound: what it reads by itself, and a few for each thing that is done. */
function fewRequests(world, end) {
  const most = 200 + end.seconds * 1.5 + world.log.acts * 20;
  return world.devices
    .filter((device) => device.requests > most * device.tabs.length)
    .map((device) => `${device.name} asked ${device.requests} times in ${Math.round(end.seconds)} s`);
}

/** A write that is refused for good is not sent again and again: a person may try, and a page that is opened anew. */
function notAgain({ log }) {
  return [...log.refused]
    .filter(([, times]) => times > MOST_REFUSED)
    .map(([write, times]) => `${write.slice(0, 90)} was refused ${times} times`);
}

/** So often one write may be refused for good: each page that is opened tries it. */
const MOST_REFUSED = 8;

/** Nobody sends what the server cannot take, and the server has no faults of its own. */
const noFaults = (world) => [...new Set(world.log.faults)];

/** Where one phone alone moved or named a start, it is as was pressed there: presses add up, and none is lost. */
function pressesCount(world, end) {
  const wrong = [];
  for (const [id, { by, minutes, title, hasMoved }] of world.log.pressed) {
    const start = end.starts.get(id);
    if (!start || !isAlone(end, by)) continue;
    const began = world.starts.find((s) => s.id === id).startsAt;
    const name = `start ${end.numberOf(id)}`;
    if (hasMoved && start.startsAt !== began + minutes * 60_000)
      wrong.push(
        `${name} was moved by ${minutes} min in all, and is at ${clock(start.startsAt)} from ${clock(began)}`,
      );
    if (title !== null && start.title !== title)
      wrong.push(`${name} was called “${title}” last, and is called “${start.title}”`);
  }
  return wrong;
}

/** Nobody sees what they may not: an athlete no run of others, nobody anything of a club that they were put out of. */
const seesOwn = (_world, end) =>
  end.devices.flatMap(({ device: { name, person }, look }) => [
    ...(person.role === "athlete" && look.runs.length > 0
      ? [`${name} shows an athlete a run that somebody else made`]
      : []),
    ...(person.isOut && look.starts.length > 0
      ? [`${name} shows starts of a club to somebody put out of it`]
      : []),
  ]);

const clock = (at) => new Date(at).toISOString().slice(11, 19);

export const RULES = {
  sameStarts,
  sameDay,
  ticksCount,
  runsGoByTheirStart,
  movesOnce,
  nothingLost,
  ownName,
  nothingStuck,
  fewRequests,
  notAgain,
  noFaults,
  pressesCount,
  seesOwn,
};

/** Everything that the rules go by, once all is still. */
export async function endOf(world) {
  const starts = new Map();
  const runs = new Map();
  for (const { id } of world.starts) {
    if (world.deleted.has(id)) continue;
    const start = await world.ask("GET", `/starts/${id}`);
    starts.set(id, {
      startsAt: Date.parse(start.startsAt),
      title: start.title,
      points: start.plan.body.stepPoints,
    });
  }
  for (const { id } of (await world.ask("GET", "/runs")).runs) {
    const run = await world.ask("GET", `/runs/${id}`);
    const moves = run.events.filter((e) => e.kind === "start-moved").map((e) => Date.parse(e.startsAt));
    runs.set(id, { startId: run.startId, events: run.events.map((e) => e.id), moves });
  }
  const of = `/starts/${world.starts[0].id}`;
  const { steps } = await world.ask("GET", `${of}/day`);
  const { ticks } = await world.ask("GET", `${of}/ticks`);
  return {
    starts,
    runs,
    day: {
      note: steps?.[0]?.note ?? null,
      ticks: Object.fromEntries(ticks.map(({ line, isOn }) => [line, isOn])),
    },
    numberOf: (id) => world.starts.findIndex((s) => s.id === id) + 1,
    seconds: (world.time.now() - world.began) / 1000,
    devices: world.devices.flatMap((device) => device.tabs.map((tab) => ({ device, look: tab.look() }))),
  };
}
