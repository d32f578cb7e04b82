import { type CueLook, cueBetween } from "../../src/run/live/cues";

const look = (more: Partial<CueLook> = {}): CueLook => ({
  status: "under-way",
  key: "a",
  name: "Laps",
  part: 0,
  call: null,
  remaining: 60,
  untilStart: 1000,
  ...more,
});

it.each<[string, Partial<CueLook>, Partial<CueLook>, unknown]>([
  ["the next drill, by its name", {}, { key: "b", name: "Skips" }, { tone: "begin", words: "Skips" }],
  ["the wait", {}, { key: null, status: "waiting", name: "Wait" }, { tone: "begin", words: "Wait" }],
  ["ten seconds left", { remaining: 10.2 }, { remaining: 9.9 }, { tone: "soon", words: null }],
  ["time over", { remaining: 0.1 }, { remaining: -0.1 }, { tone: "over", words: null }],
  [
    "what is called, once, also of the same number again",
    { call: null },
    { call: "2, star jumps" },
    { tone: "part", words: "2, star jumps" },
  ],
  ["another set", {}, { part: 1 }, { tone: "part", words: null }],
  [
    "five minutes to the start",
    { untilStart: 300.1 },
    { untilStart: 299.9 },
    { tone: "start", words: "5 minutes to the start" },
  ],
  [
    "one minute, whatever else is going on",
    { untilStart: 60.2 },
    { untilStart: 60, key: "b" },
    { tone: "start", words: "1 minute to the start" },
  ],
  [
    "the start",
    { untilStart: 0.2, status: "waiting" },
    { untilStart: -0.1, status: "waiting" },
    { tone: "start", words: "Start" },
  ],
  ["nothing", {}, { remaining: 59 }, null],
  ["nothing at the end", {}, { status: "ended", key: null }, null],
  ["nothing before it begins", { status: "ready" }, { status: "ready", remaining: 9 }, null],
])("tells of %s", (_, before, now, cue) => {
  expect(cueBetween(look(before), look(now))).toEqual(cue);
});
