import type { Role } from "@tonodrome/core/api";
import { drillInput, eventInput, makeStart, orderInput, planBody, runInput } from "./make";
import type { Person, TestServer } from "./testServer";

/** A club with somebody in every role; the athlete's account goes with the athlete of its one start. */
export interface FullClub {
  clubId: string;
  people: Record<Role, Person>;
  /** The secrets of its link and of its calendar. */
  shareToken: string;
  calendarToken: string;
  ids: {
    start: string;
    plan: string;
    athlete: string;
    run: string;
    drill: string;
    event: string;
    order: string;
    template: string;
    invite: string;
    share: string;
    calendar: string;
    user: string;
  };
}

/** Makes a club of its own with people, a start, a run, an invitation and a link in it. */
export async function fullClub(server: TestServer): Promise<FullClub> {
  const { person: owner, me } = await server.signUp("A full club");
  const clubId = me.clubs[0]?.id as string;
  const start = await makeStart(owner);
  const member = (role: Role, athleteId: string | null = null) =>
    server.member(role, athleteId, owner, clubId);
  const coach = await member("coach");
  const assistant = await member("assistant");
  const athlete = await member("athlete", start.athlete.id);
  const run = await owner.ask("POST", "/api/:club/runs", runInput(start.id));
  const drill = await owner.ask("POST", "/api/:club/drills", drillInput("Hops"));
  const event = await owner.ask("POST", "/api/:club/events", eventInput("Final"));
  const order = await owner.ask("POST", "/api/:club/orders", orderInput());
  const template = await owner.ask("POST", "/api/:club/templates", { name: "Usual", body: planBody("Hops") });
  const invite = await owner.ask("POST", "/api/:club/invites", { role: "coach", athleteId: null });
  const share = await owner.ask("POST", `/api/:club/starts/${start.id}/shares`, { until: IN_TIME });
  const calendar = await owner.ask("POST", "/api/:club/calendars", { athleteId: null });
  return {
    clubId,
    people: { owner, coach, assistant, athlete },
    shareToken: share.body.token,
    calendarToken: calendar.body.token,
    ids: {
      start: start.id,
      plan: start.plan.id,
      athlete: start.athlete.id,
      run: run.body.id,
      drill: drill.body.id,
      event: event.body.id,
      order: order.body.id,
      template: template.body.id,
      invite: invite.body.id,
      share: share.body.id,
      calendar: calendar.body.id,
      user: coach.userId,
    },
  };
}

/** A moment that tests never reach, and a link to a start of theirs may. */
export const IN_TIME = "2098-06-11T00:00:00.000Z";
