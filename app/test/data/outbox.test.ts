import { CLUB, makeMe } from "~/test/made/makeMe";

type Item = { text: string; sent?: boolean };
type Outbox = import("~/data/outbox/outbox").Outbox<Item>;

const BO = { ...makeMe(), id: "77777777-7777-4777-8777-777777777777", name: "Bo" };

let data: typeof import("~/data/account/account") &
  typeof import("~/data/client/api") &
  typeof import("~/data/outbox/outbox") &
  typeof import("~/data/outbox/unsent");
let box: Outbox;
/** What is sent, by whom, and what the server says to it. */
let sent: string[];
let answer: (text: string) => Promise<void>;

const refuse = (code: InstanceType<typeof data.ApiFailure>["code"]) => {
  throw new data.ApiFailure(code, `It is ${code}.`);
};

function open(): void {
  jest.isolateModules(() => {
    data = {
      ...require("~/data/account/account"),
      ...require("~/data/client/api"),
      ...require("~/data/outbox/outbox"),
      ...require("~/data/outbox/unsent"),
    };
  });
  box = data.makeOutbox<Item>({
    prefix: "thing:",
    read: (kept) => kept as Item,
    merge: (here) => here,
    isUnsent: ({ sent: isSent }) => !isSent,
    clubOf: () => CLUB,
    async send({ text }, key) {
      sent.push(`${data.currentAccount().me?.name}: ${text}`);
      await answer(text);
      box.change(key, (now) => now && (now.text === text ? { ...now, sent: true } : now));
    },
    pause: 500,
    retry: 3_000,
    words: (count) => `${count} things`,
  });
}

beforeEach(() => {
  jest.useFakeTimers();
  localStorage.clear();
  localStorage.setItem("me", JSON.stringify(makeMe()));
  sent = [];
  answer = async () => undefined;
  open();
});
afterEach(() => void jest.useRealTimers());
const pass = (ms: number) => jest.advanceTimersByTimeAsync(ms);

it("sends under no other name, shows it to nobody else, and waits for the one who made it", async () => {
  answer = async () => refuse("unreachable");
  box.change("a", () => ({ text: "Ada's" }));
  await pass(600);
  data.signedOutHere();
  answer = async () => undefined;
  sent = [];
  data.signedInAs(BO);
  await pass(60_000);
  expect([box.get("a"), box.unsent(), sent]).toEqual([null, 0, []]);
  expect(box.ofOthers()).toEqual([{ owner: { id: makeMe().id, name: "Ada" }, count: 1 }]);
  // What somebody else made is not written over either.
  box.change("a", () => ({ text: "Bo's" }));
  await pass(60_000);
  expect(sent).toEqual([]);
  data.signedOutHere();
  data.signedInAs(makeMe());
  await pass(1_000);
  expect([sent, box.unsent(), box.ofOthers()]).toEqual([["Ada: Ada's"], 0, []]);
});

it("says of what is for a club that one was put out of that it is, and sends it once one is in again", async () => {
  box.change("a", () => ({ text: "Ada's" }));
  data.signedInAs({ ...makeMe(), clubs: [] });
  await pass(60_000);
  expect(sent).toEqual([]);
  expect(data.everyFailure()).toMatchObject([
    { what: "1 things", sentence: "You are not in its club any more." },
  ]);
  data.signedInAs(makeMe());
  await pass(1_000);
  expect(sent).toEqual(["Ada: Ada's"]);
  expect(data.everyFailure()).toEqual([]);
});

it("sends what is asked for while something is on its way as soon as that is over", async () => {
  let arrive: () => void = () => undefined;
  answer = () => new Promise((done) => (arrive = done));
  box.change("a", () => ({ text: "first" }));
  await pass(600);
  box.change("a", () => ({ text: "second" }));
  void box.sendNow("a");
  await pass(10);
  expect(sent).toEqual(["Ada: first"]);
  arrive();
  await pass(10);
  expect(sent).toEqual(["Ada: first", "Ada: second"]);
});

it("holds up nothing behind what is refused, and says why", async () => {
  answer = async (text) => {
    if (text === "wrong") refuse("invalid_input");
    if (text === "not theirs") refuse("forbidden");
  };
  for (const text of ["wrong", "not theirs", "right"]) box.change(text, () => ({ text }));
  await pass(60_000);
  // Each once: asking again changes nothing.
  expect(sent).toEqual(["Ada: wrong", "Ada: not theirs", "Ada: right"]);
  expect(box.failureOf("wrong")).toEqual({ sentence: "It is invalid_input.", isFinal: true });
  expect(box.failureOf("not theirs")?.isFinal).toBe(false);
  expect([box.failureOf("right"), box.get("right")?.sent]).toEqual([null, true]);
  answer = async () => undefined;
  await box.again("wrong");
  expect([box.failureOf("wrong"), box.unsent()]).toEqual([null, 1]);
});

it("leaves a server in trouble more and more time, and one that is not reached the same", async () => {
  const times: number[] = [];
  const tried = async (code: "internal" | "unreachable", ms: number) => {
    times.length = 0;
    answer = async () => {
      times.push(Date.now());
      refuse(code);
    };
    await pass(ms);
    return times.map((at, i) => Math.round((at - (times[i - 1] ?? at)) / 1000)).slice(1);
  };
  box.change("a", () => ({ text: "a" }));
  expect(await tried("internal", 45_000)).toEqual([3, 6, 12, 15]);
  expect(box.store.getState().link).toBe("troubled");
  box.change("b", () => ({ text: "b" }));
  box.change("a", () => null);
  expect(await tried("unreachable", 13_000)).toEqual([3, 3, 3, 3]);
  expect(box.store.getState().link).toBe("unreachable");
});

it("is there when the page is opened anew, and is sent then", async () => {
  answer = async () => refuse("unreachable");
  box.change("a", () => ({ text: "kept" }));
  await pass(600);
  answer = async () => undefined;
  open();
  expect(box.get("a")).toEqual({ text: "kept" });
  await box.sendAll();
  expect(box.unsent()).toBe(0);
});
