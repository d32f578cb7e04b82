// The world of one course: the real servers on the real database, people with their roles, devices, and what went between them.
import { ask, makeClub, PASSWORD } from "./club.mjs";
import { openRealm } from "./realm.mjs";
import { makeTime } from "./time.mjs";

/** A late day begins so long before midnight at the hall, milliseconds: its second start is past it. */
const LATE_BEFORE = 70 * 60_000;

/** The next midnight by the hall's clock. */
function nextMidnight(from) {
  const clock = new Intl.DateTimeFormat("en-GB", {
    timeZone: "Europe/Vienna",
    hour: "2-digit",
    minute: "2-digit",
  });
  const [hours, minutes] = clock.format(from).split(":").map(Number);
  return from + (24 * 60 - hours * 60 - minutes) * 60_000;
}

/** What is noted while a course is played, for the rules. */
const makeLog = () => ({
  /** Presses that the server said it has; who made each, and under whose names it came, by its id. */
  acknowledged: new Map(),
  made: new Map(),
  names: new Map(),
  /** What the server could not take, and how often each write was refused for good. */
  faults: [],
  refused: new Map(),
  /** What was pressed of a start's time and title, and of its lists, by which devices. */
  pressed: new Map(),
  ticked: new Map(),
  acts: 0,
  moved: 0,
});

/** Answers after which asking the same again changes nothing. */
const FOR_GOOD = new Set([400, 404, 409, 413]);

/** Notes what a device was answered. */
function heard(log, device, path, { method, body }, { status, text }) {
  // Whoever does not hear the refusal asks again.
  if (method && method !== "GET" && FOR_GOOD.has(status) && !device.losesAnswers) {
    const write = `${device.name}: ${method} ${path} ${body}`;
    log.refused.set(write, (log.refused.get(write) ?? 0) + 1);
  }
  if (status === 400 || status === 500) {
    const { path: field, message } = JSON.parse(text);
    // A press or a tick by a clock that is fast is stamped anew.
    if (status === 500 || !field?.endsWith(".at"))
      log.faults.push(`${device.name}: ${method ?? "GET"} ${path} ${status} ${field}: ${message}`);
  }
  const events = /\/runs\/([0-9a-f-]+)\/events$/.exec(path);
  if (method !== "POST" || !body) return;
  const sent = JSON.parse(body);
  for (const { id, kind } of events ? sent.events : path.endsWith("/move") ? [sent] : []) {
    if (status === 200) log.names.set(id, new Set([...(log.names.get(id) ?? []), device.person?.id]));
    if (status === 200 && events) log.acknowledged.set(id, { run: events[1], kind });
  }
}

/** A device: what outlives its pages, and its pages, of which one is in front. */
function makeDevice(script, world, number) {
  const device = {
    ...{ name: `phone ${number + 1}`, kept: new Map(), cookie: null, isOnline: true, losesAnswers: false },
    ...{ off: 0, requests: 0, person: null, hands: 0, isHandedOver: false, tabs: [], front: 0 },
    /** Half of the devices are answered by the second server. */
    server: world.house.servers[number % world.house.servers.length],
    get page() {
      return device.tabs[device.front];
    },
    /** Opens the page in front anew, or another one beside it. */
    open({ isNew = false } = {}) {
      if (!isNew) device.page?.end();
      if (isNew) device.front = device.tabs.length;
      device.tabs[device.front] = openRealm(script, device, world);
    },
    reopen(how) {
      device.open(how);
      device.page.openClub();
      void device.page.sendEverything();
    },
    goOnline() {
      Object.assign(device, { isOnline: true, losesAnswers: false });
      for (const tab of device.tabs) void tab.sendEverything();
    },
    async signIn(person) {
      device.person = person;
      device.hands++;
      await device.page.acts.signIn(person.email, PASSWORD);
    },
    async handOver(person) {
      device.isHandedOver = true;
      try {
        await device.page.acts.signOut();
        await device.signIn(person);
      } finally {
        device.isHandedOver = false;
      }
    },
  };
  device.open();
  return device;
}

/** Removes something of the club: whoever gets no answer, because the server was killed meanwhile, asks again. */
async function remove(world, path, tries = 5) {
  for (let left = tries; ; left--) {
    try {
      return await world.ask("DELETE", path);
    } catch (error) {
      const isAnswered = /: \d{3} /.test(error.message);
      // Removed, and the answer did not come.
      if (left < tries && / 404 /.test(error.message)) return null;
      if (isAnswered || left === 0) throw error;
    }
  }
}

/** Opens the world of a course. @param house the servers and their database, which many courses share */
export async function openWorld(house, script, { devices, isLate }) {
  const begins = isLate ? nextMidnight(Date.now()) - LATE_BEFORE : Date.now();
  const time = makeTime(begins);
  await house.setClock(begins);
  await house.forgetLimits();
  const up = () => house.servers.find((server) => !server.isDown);
  const club = await makeClub(up().base, begins);
  const log = makeLog();
  const at = (path) => `/clubs/${club.clubId}${path}`;
  const world = {
    ...{ ...club, time, began: begins, log, house, isReleased: false, deleted: new Set() },
    step: (now) => house.setClock(now),
    heard: (...what) => heard(log, ...what),
    async ask(method, path, body) {
      return (await ask(up().base, club.cookie, method, at(path), body)).data;
    },
    async deleteStart(id) {
      const { version } = await world.ask("GET", `/starts/${id}`);
      // Refused where somebody saved in between: then it is there.
      await remove(world, `/starts/${id}?version=${version}`);
      world.deleted.add(id);
    },
    /** Ends what a person may do in the club. */
    async withdraw(person) {
      person.isOut = true;
      await remove(world, `/members/${person.id}`);
    },
  };
  world.devices = Array.from({ length: devices }, (_, number) => makeDevice(script, world, number));
  return world;
}
