import type { ErrorCode } from "@tonodrome/core/api";

/** What the description of the API says of a route, besides what its schemas and its rule of access say. */
export interface Operation {
  /** Its name in generated clients. */
  id: string;
  /** One sentence. */
  summary: string;
  /** Refusals that cannot be told from its schemas and its rule. */
  refusals?: readonly ErrorCode[];
  /** What it is answered with, or what is sent, where that is not JSON. */
  answers?: string;
  takes?: string;
}

const operation = (id: string, summary: string, more: Omit<Operation, "id" | "summary"> = {}): Operation => ({
  id,
  summary,
  ...more,
});

const STREAM = "text/event-stream";
const TABLE = "text/csv";
const CLUB_FILE = "application/x-ndjson";

/** What each group of operations is about, and its operations by method and path. */
export const OPERATIONS: Readonly<
  Record<string, { about: string; operations: Readonly<Record<string, Operation>> }>
> = {
  account: {
    about: "Accounts, sessions and invitations.",
    operations: {
      "GET /api/auth": operation(
        "getSignInOptions",
        "Tells whether there is a demo and whether anybody may sign up.",
      ),
      "POST /api/auth/sign-up": operation(
        "signUp",
        "Makes an account with a club of its own, and signs in.",
        {
          refusals: ["taken", "forbidden"],
        },
      ),
      "POST /api/auth/sign-in": operation("signIn", "Signs in: the answer sets the session cookie.", {
        refusals: ["wrong_password"],
      }),
      "POST /api/auth/reset": operation("resetPassword", "Sets a new password by an operator's link.", {
        refusals: ["link_over"],
      }),
      "POST /api/auth/demo": operation(
        "openDemo",
        "Opens a demo club of one's own for a day, and signs in.",
        {
          refusals: ["not_found"],
        },
      ),
      "POST /api/auth/sign-out": operation("signOut", "Ends the session."),
      "GET /api/me": operation("getMe", "Reads who is signed in and the clubs of that person."),
      "POST /api/me/password": operation("changePassword", "Changes the password.", {
        refusals: ["wrong_password"],
      }),
      "POST /api/me/delete": operation("deleteAccount", "Deletes the account for good.", {
        refusals: ["wrong_password", "last_owner"],
      }),
      "POST /api/me/sign-out-everywhere": operation(
        "signOutEverywhere",
        "Ends every session of the account.",
      ),
      "GET /api/invites/{token}": operation("getInvitation", "Reads what an invitation is to.", {
        refusals: ["link_over"],
      }),
      "POST /api/invites/{token}/accept": operation("acceptInvitation", "Joins a club by an invitation.", {
        refusals: ["link_over", "full", "taken"],
      }),
      "POST /api/invites/{token}/sign-up": operation(
        "signUpByInvitation",
        "Makes an account and joins a club by an invitation.",
        { refusals: ["link_over", "full", "taken"] },
      ),
    },
  },
  club: {
    about: "A club, its members and all that it has.",
    operations: {
      "POST /api/clubs": operation("makeClub", "Makes another club.", { refusals: ["full", "not_found"] }),
      "GET /api/clubs/{clubId}": operation("getClub", "Reads a club."),
      "PUT /api/clubs/{clubId}": operation("renameClub", "Changes a club's name."),
      "DELETE /api/clubs/{clubId}": operation("deleteClub", "Deletes a club with all that it has."),
      "POST /api/clubs/{clubId}/leave": operation("leaveClub", "Leaves a club.", {
        refusals: ["last_owner"],
      }),
      "GET /api/clubs/{clubId}/members": operation("listMembers", "Lists the members of a club."),
      "PUT /api/clubs/{clubId}/members/{userId}": operation("changeMember", "Changes a member's role.", {
        refusals: ["last_owner", "version_conflict"],
      }),
      "DELETE /api/clubs/{clubId}/members/{userId}": operation(
        "removeMember",
        "Takes a member out of a club.",
        {
          refusals: ["last_owner"],
        },
      ),
      "GET /api/clubs/{clubId}/invites": operation("listInvites", "Lists a club's open invitations."),
      "POST /api/clubs/{clubId}/invites": operation(
        "makeInvite",
        "Makes an invitation; its secret is told once.",
        {
          refusals: ["full"],
        },
      ),
      "DELETE /api/clubs/{clubId}/invites/{id}": operation("withdrawInvite", "Withdraws an invitation."),
      "GET /api/clubs/{clubId}/audit": operation(
        "listAudit",
        "Lists who changed what, newest first, in pages.",
      ),
      "GET /api/clubs/{clubId}/export": operation("exportClub", "Reads the whole club as lines of JSON.", {
        answers: CLUB_FILE,
      }),
      "POST /api/clubs/{clubId}/import": operation(
        "importClub",
        "Fills an empty club from an exported one, all or nothing.",
        { takes: CLUB_FILE, refusals: ["not_empty", "full"] },
      ),
      "GET /api/clubs/{clubId}/tables/shelf": operation("exportShelf", "Reads the shelf as a table.", {
        answers: TABLE,
      }),
      "GET /api/clubs/{clubId}/tables/starts": operation("exportStarts", "Reads the starts as a table.", {
        answers: TABLE,
      }),
      "GET /api/clubs/{clubId}/tables/log": operation("exportLog", "Reads the log as a table.", {
        answers: TABLE,
      }),
      "GET /api/clubs/{clubId}/figures": operation(
        "getFigures",
        "Reads the figures of checks that the club has of its own.",
      ),
      "PUT /api/clubs/{clubId}/figures": operation(
        "saveFigures",
        "Saves the figures of checks that the club has of its own.",
      ),
      "GET /api/clubs/{clubId}/changes": operation(
        "followClub",
        "Follows a club: a stream of what to read again, and of a run's new presses.",
        { answers: STREAM },
      ),
    },
  },
  athletes: {
    about: "Athletes and what is known of them.",
    operations: {
      "GET /api/clubs/{clubId}/athletes": operation("listAthletes", "Lists the athletes of a club."),
      "POST /api/clubs/{clubId}/athletes": operation("makeAthlete", "Makes an athlete.", {
        refusals: ["full"],
      }),
      "PUT /api/clubs/{clubId}/athletes/{id}": operation("saveAthlete", "Saves an athlete."),
      "DELETE /api/clubs/{clubId}/athletes/{id}": operation(
        "deleteAthlete",
        "Deletes an athlete with every start and run.",
      ),
      "POST /api/clubs/{clubId}/athletes/{id}/anonymise": operation(
        "anonymiseAthlete",
        "Takes the person out of an athlete's starts and runs, and keeps those.",
      ),
      "GET /api/clubs/{clubId}/athletes/{id}/day": operation(
        "getAthleteDay",
        "Reads the steps an athlete's day begins with.",
      ),
      "PUT /api/clubs/{clubId}/athletes/{id}/day": operation(
        "saveAthleteDay",
        "Saves the steps an athlete's day begins with.",
      ),
      "GET /api/clubs/{clubId}/athletes/{id}/earlier-runs": operation(
        "listEarlierRuns",
        "Lists an athlete's last twenty warm-ups with their drills.",
      ),
    },
  },
  shelf: {
    about: "Drills, templates and starter shelves.",
    operations: {
      "GET /api/clubs/{clubId}/drills": operation(
        "listDrills",
        "Lists the drills of the shelf, with how often each is used.",
      ),
      "POST /api/clubs/{clubId}/drills": operation("makeDrill", "Puts a drill on the shelf.", {
        refusals: ["full"],
      }),
      "PUT /api/clubs/{clubId}/drills/{id}": operation("saveDrill", "Saves, archives or restores a drill."),
      "POST /api/clubs/{clubId}/tables/shelf": operation(
        "importShelf",
        "Compares a table of drills with the shelf, or takes it as it was compared.",
        { refusals: ["version_conflict", "full"] },
      ),
      "GET /api/clubs/{clubId}/starters": operation(
        "listStarters",
        "Lists the starter shelves and how much of each is there.",
      ),
      "POST /api/clubs/{clubId}/starters": operation(
        "installStarter",
        "Puts a starter shelf on the shelf, by its key or as the text of a file.",
        { refusals: ["full"] },
      ),
      "GET /api/clubs/{clubId}/templates": operation("listTemplates", "Lists warm-ups to begin others from."),
      "POST /api/clubs/{clubId}/templates": operation("makeTemplate", "Makes a template of a warm-up.", {
        refusals: ["full"],
      }),
      "DELETE /api/clubs/{clubId}/templates/{id}": operation("deleteTemplate", "Deletes a template."),
    },
  },
  starts: {
    about: "Starts, their warm-ups and who may see them.",
    operations: {
      "GET /api/clubs/{clubId}/events": operation(
        "listEvents",
        "Lists the kinds of event that a club goes to.",
      ),
      "POST /api/clubs/{clubId}/events": operation("makeEvent", "Makes a kind of event.", {
        refusals: ["full"],
      }),
      "PUT /api/clubs/{clubId}/events/{id}": operation(
        "saveEvent",
        "Saves, archives or restores a kind of event.",
      ),
      "GET /api/clubs/{clubId}/starts": operation(
        "listStarts",
        "Lists starts without their plans, in pages.",
      ),
      "POST /api/clubs/{clubId}/starts": operation(
        "makeStart",
        "Makes a start with an empty or a copied plan.",
        {
          refusals: ["full"],
        },
      ),
      "GET /api/clubs/{clubId}/starts/whole": operation(
        "listWholeStarts",
        "Reads up to twenty starts with their plans.",
      ),
      "GET /api/clubs/{clubId}/starts/{id}": operation("getStart", "Reads a start with its plan."),
      "PUT /api/clubs/{clubId}/starts/{id}": operation("saveStart", "Saves a start."),
      "DELETE /api/clubs/{clubId}/starts/{id}": operation(
        "deleteStart",
        "Deletes a start; it can be restored for an hour.",
      ),
      "POST /api/clubs/{clubId}/starts/{id}/restore": operation(
        "restoreStart",
        "Takes back that a start was deleted.",
        {
          refusals: ["full"],
        },
      ),
      "POST /api/clubs/{clubId}/starts/{id}/move": operation(
        "moveStart",
        "Moves a start, and tells its open runs.",
      ),
      "POST /api/clubs/{clubId}/start-list": operation(
        "importStartList",
        "Compares a start list with the starts, or takes it as it was compared.",
        { refusals: ["version_conflict", "full"] },
      ),
      "GET /api/clubs/{clubId}/plans/{id}": operation("getPlan", "Reads a plan."),
      "PUT /api/clubs/{clubId}/plans/{id}": operation("savePlan", "Saves a whole plan."),
      "GET /api/clubs/{clubId}/plans/{id}/edits": operation(
        "listPlanEdits",
        "Lists a plan's earlier versions, newest first, in pages.",
      ),
      "POST /api/clubs/{clubId}/judge": operation(
        "judgePlan",
        "Judges a plan with its day: forecast and findings.",
        {
          refusals: ["too_large"],
        },
      ),
      "GET /api/clubs/{clubId}/starts/{id}/shares": operation(
        "listSharesOfStart",
        "Lists a start's open links.",
      ),
      "GET /api/clubs/{clubId}/shares": operation("listShares", "Lists a club's open links."),
      "POST /api/clubs/{clubId}/starts/{id}/shares": operation(
        "makeShare",
        "Makes a link to a start; its secret is told once.",
        {
          refusals: ["full"],
        },
      ),
      "DELETE /api/clubs/{clubId}/shares/{id}": operation("withdrawShare", "Withdraws a link."),
      "GET /api/shared/{token}": operation("getShared", "Reads the warm-up that a link shows.", {
        refusals: ["link_over"],
      }),
      "GET /api/shared/{token}/changes": operation(
        "followShared",
        "Follows a link: a stream of when to read it again.",
        {
          answers: STREAM,
          refusals: ["link_over"],
        },
      ),
      "GET /api/shared/{token}/ticks": operation(
        "getSharedTicks",
        "Reads the ticks of the start that a link shows.",
        {
          refusals: ["link_over"],
        },
      ),
      "POST /api/shared/{token}/ticks": operation(
        "tickShared",
        "Ticks lines of the start that a link shows.",
        {
          refusals: ["link_over", "full"],
        },
      ),
    },
  },
  orders: {
    about: "Running orders, and who is on.",
    operations: {
      "GET /api/clubs/{clubId}/orders/{id}": operation("getOrder", "Reads a running order."),
      "POST /api/clubs/{clubId}/orders": operation("makeOrder", "Makes a running order.", {
        refusals: ["full"],
      }),
      "PUT /api/clubs/{clubId}/orders/{id}": operation("saveOrder", "Saves a running order."),
      "DELETE /api/clubs/{clubId}/orders/{id}": operation(
        "deleteOrder",
        "Deletes a running order; its starts stay.",
      ),
      "POST /api/clubs/{clubId}/orders/{id}/now": operation(
        "tellWhoIsOn",
        "Tells who is on; the starts after it move.",
        {
          refusals: ["full"],
        },
      ),
      "GET /api/clubs/{clubId}/starts/{id}/order/changes": operation(
        "followTrialOrder",
        "Follows a made-up running order of a start: for trials.",
        { answers: STREAM },
      ),
    },
  },
  day: {
    about: "The whole day of a start, its lists and its calendar.",
    operations: {
      "GET /api/clubs/{clubId}/starts/{id}/day": operation(
        "getStartDay",
        "Reads the steps of a start's day.",
      ),
      "PUT /api/clubs/{clubId}/starts/{id}/day": operation(
        "saveStartDay",
        "Saves the steps of a start's day.",
      ),
      "GET /api/clubs/{clubId}/events/{id}/day": operation(
        "getEventDay",
        "Reads the steps an event's day begins with.",
      ),
      "PUT /api/clubs/{clubId}/events/{id}/day": operation(
        "saveEventDay",
        "Saves the steps an event's day begins with.",
      ),
      "GET /api/clubs/{clubId}/starts/{id}/ticks": operation(
        "getTicks",
        "Reads what is ticked in the lists of a start.",
      ),
      "POST /api/clubs/{clubId}/starts/{id}/ticks": operation(
        "tick",
        "Ticks lines of the lists of a start.",
        {
          refusals: ["full"],
        },
      ),
      "GET /api/clubs/{clubId}/open-lists": operation(
        "listOpenLists",
        "Lists what is still to be ticked in the next 36 hours.",
      ),
      "GET /api/clubs/{clubId}/calendars": operation(
        "listCalendars",
        "Lists the addresses that calendars subscribe to.",
      ),
      "POST /api/clubs/{clubId}/calendars": operation(
        "makeCalendar",
        "Makes a calendar address; its secret is told once.",
        {
          refusals: ["full"],
        },
      ),
      "DELETE /api/clubs/{clubId}/calendars/{id}": operation(
        "withdrawCalendar",
        "Withdraws a calendar address.",
      ),
      "GET /api/calendars/{token}": operation("readCalendar", "Reads the days of a calendar address.", {
        answers: "text/calendar",
        refusals: ["link_over"],
      }),
    },
  },
  runs: {
    about: "Warm-ups that are run, and the log.",
    operations: {
      "GET /api/clubs/{clubId}/runs": operation("listRuns", "Lists the log, newest first, in pages."),
      "POST /api/clubs/{clubId}/runs": operation("recordRun", "Records a run, once for its id.", {
        refusals: ["full"],
      }),
      "GET /api/clubs/{clubId}/open-runs": operation(
        "listOpenRuns",
        "Lists the runs that go on, on any device.",
      ),
      "GET /api/clubs/{clubId}/runs/{id}": operation("getRun", "Reads a run with its presses."),
      "GET /api/clubs/{clubId}/runs/{id}/events": operation(
        "listPresses",
        "Reads the presses of a run that came after a place.",
      ),
      "POST /api/clubs/{clubId}/runs/{id}/events": operation(
        "recordPresses",
        "Records presses of a run, each once for its id.",
        {
          refusals: ["full"],
        },
      ),
    },
  },
};
