// A club on its competition day, as it is set up outside of every device.
import { randomUUID } from "node:crypto";

export const PASSWORD = "a long enough password";
const HOUR_MS = 3_600_000;

/** Asks the server as somebody, outside of every device. */
export async function ask(base, cookie, method, path, body) {
  const answer = await fetch(`${base}/api${path}`, {
    method,
    // A connection that is kept open may be to a server that was killed.
    headers: {
      connection: "close",
      ...(cookie ? { cookie } : {}),
      ...(body ? { "content-type": "application/json" } : {}),
    },
    ...(body ? { body: JSON.stringify(body) } : {}),
  });
  const set = answer.headers.get("set-cookie");
  const data = await answer.json();
  if (!answer.ok) throw new Error(`${method} ${path}: ${answer.status} ${JSON.stringify(data)}`);
  return { data, cookie: set ? set.split(";")[0] : cookie };
}

/** One drill of two minutes, one when time is short. */
const item = () => ({
  ...{ id: randomUUID(), drillId: null, name: "Laps", phase: "raise", priority: "essential", intensity: 20 },
  dose: {
    ...{ kind: "time", seconds: { floor: 60, ideal: 120, ceiling: 120 }, step: 30 },
    ...{ sides: "one", changeoverSeconds: 0 },
  },
  ...{ focus: "", place: "" },
});

/** A club on its competition day: an owner, a coach, an assistant and an athlete, and three starts with their warm-ups. */
export async function makeClub(base, begins) {
  const email = () => `${randomUUID()}@example.org`;
  const owner = { role: "owner", email: email() };
  const signedUp = await ask(base, null, "POST", "/auth/sign-up", {
    ...{ name: "Ada Finch", email: owner.email, password: PASSWORD, clubName: "Hall club" },
  });
  const { cookie } = signedUp;
  const clubId = signedUp.data.clubs[0].id;
  owner.id = signedUp.data.id;
  const at = `/clubs/${clubId}`;
  const athletes = [];
  for (const name of ["Mira Lind", "Jon Aas", "Una Falk"])
    athletes.push((await ask(base, cookie, "POST", `${at}/athletes`, { name })).data);
  const starts = [];
  for (const [i, athlete] of athletes.entries()) {
    const startsAt = begins + (i + 1) * HOUR_MS;
    const { data } = await ask(base, cookie, "POST", `${at}/starts`, {
      ...{ athleteId: athlete.id, title: `Start ${i + 1}`, venue: "Hall", zone: "Europe/Vienna" },
      startsAt: new Date(startsAt).toISOString(),
      readyAt: new Date(startsAt - HOUR_MS / 2).toISOString(),
    });
    const body = { ...data.plan.body, items: [item(), item(), item()] };
    await ask(base, cookie, "PUT", `${at}/plans/${data.plan.id}`, { version: 1, body });
    starts.push({ id: data.id, planId: data.plan.id, athleteId: athlete.id, startsAt });
  }
  const people = [owner];
  for (const [role, name] of [
    ["coach", "Bo Larch"],
    ["assistant", "Cy Rowan"],
    ["athlete", "Mira Lind"],
  ]) {
    const athleteId = role === "athlete" ? athletes[0].id : null;
    const invite = (await ask(base, cookie, "POST", `${at}/invites`, { role, athleteId })).data;
    const person = { role, email: email() };
    const joined = await ask(base, null, "POST", `/invites/${invite.token}/sign-up`, {
      ...{ name, email: person.email, password: PASSWORD },
    });
    person.id = joined.data.id;
    people.push(person);
  }
  return { clubId, cookie, athletes, starts, people };
}
