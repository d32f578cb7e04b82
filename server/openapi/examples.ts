const UUID = {
  athlete: "0f5a1c8e-7f4d-4c39-9a51-3f0d5f2f6a10",
  drill: "4b8b0c52-9f0e-4a5a-8d3e-2f6a7c1d9e21",
  item: "8c2f6f0e-0e43-4a8b-b0c5-6f1f0a7e3d32",
};

const range = (floor: number, ideal: number, ceiling: number) => ({ floor, ideal, ceiling });

const JOG = {
  name: "Easy jog",
  phase: "raise",
  priority: "essential",
  intensity: 30,
  dose: { kind: "time", seconds: range(60, 180, 240), step: 30, sides: "one", changeoverSeconds: 0 },
  focus: "Light feet",
  place: "Floor",
};

/** What is sent, for operations with more to send than a word or two: by the operation's id. */
export const EXAMPLES: Readonly<Record<string, unknown>> = {
  signUp: {
    name: "Ida Berg",
    email: "ida@example.org",
    password: "a long enough password",
    clubName: "Northside",
  },
  signIn: { email: "ida@example.org", password: "a long enough password" },
  makeAthlete: { name: "Mara Lind" },
  makeDrill: JOG,
  makeStart: {
    athleteId: UUID.athlete,
    title: "Free skate",
    venue: "River Hall",
    zone: "Europe/Vienna",
    startsAt: "2027-03-06T14:30:00.000Z",
    readyAt: "2027-03-06T13:55:00.000Z",
  },
  moveStart: { version: 3, startsAt: "2027-03-06T14:38:00.000Z" },
  savePlan: {
    version: 1,
    body: {
      items: [
        {
          id: UUID.item,
          drillId: UUID.drill,
          ...JOG,
        },
      ],
      wait: { leastSeconds: 60, longestSeconds: 300 },
      stepPoints: 20,
    },
  },
};
