import { auth } from "./resources/account/auth";
import { invites } from "./resources/account/invites";
import { me } from "./resources/account/me";
import { athletes } from "./resources/club/athletes";
import { auditTrail } from "./resources/club/auditTrail";
import { changes } from "./resources/club/changes";
import { club } from "./resources/club/club";
import { clubFile } from "./resources/club/clubFile";
import { clubTables } from "./resources/club/clubTables";
import { events } from "./resources/club/events";
import { figures } from "./resources/club/figures";
import { members } from "./resources/club/members";
import type { Resource } from "./resources/context";
import { calendars } from "./resources/day/calendars";
import { days } from "./resources/day/days";
import { openLists } from "./resources/day/openLists";
import { ticks } from "./resources/day/ticks";
import { earlierRuns } from "./resources/runs/earlierRuns";
import { openRuns } from "./resources/runs/openRuns";
import { runs } from "./resources/runs/runs";
import { drills } from "./resources/shelf/drills";
import { judge } from "./resources/shelf/judge";
import { shelfTable } from "./resources/shelf/shelfTable";
import { starters } from "./resources/shelf/starters";
import { templates } from "./resources/shelf/templates";
import { orders } from "./resources/starts/orders";
import { plans } from "./resources/starts/plans";
import { runningOrder } from "./resources/starts/runningOrder";
import { shared } from "./resources/starts/shared";
import { shares } from "./resources/starts/shares";
import { startList } from "./resources/starts/startList";
import { starts } from "./resources/starts/starts";

/** Every resource of the API, by its folder. */
export const resources: readonly Resource[] = [
  auth,
  me,
  invites,
  club,
  members,
  auditTrail,
  clubFile,
  clubTables,
  figures,
  changes,
  athletes,
  drills,
  shelfTable,
  starters,
  templates,
  judge,
  starts,
  startList,
  plans,
  events,
  orders,
  runningOrder,
  shares,
  shared,
  days,
  ticks,
  openLists,
  calendars,
  runs,
  openRuns,
  earlierRuns,
];
