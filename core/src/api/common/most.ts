import { MOST_CALLS } from "../../order/runningOrder";

/**
 * The most there may be of everything: several times what the largest club that was thought of needs, so that nobody
 * who may write can fill the house or make others wait. All custom.
 */
export const MOST = {
  /** Of one person. */
  clubs: 20,
  /** Of one club. */
  athletes: 1_000,
  drills: 2_000,
  events: 300,
  templates: 500,
  orders: 1_000,
  starts: 20_000,
  /** Starts that were deleted and can still be had back. */
  deletedStarts: 100,
  runs: 20_000,
  members: 1_000,
  invites: 100,
  shares: 1_000,
  calendars: 100,
  /** Starts in one calendar that is subscribed to. */
  calendarStarts: 30,
  /** Of one start. */
  sharesOfStart: 20,
  /** Runs of one start: several phones, trials, a cool-down. */
  runsOfStart: 50,
  /** Lines of its lists that were ever ticked. */
  ticksOfStart: 500,
  /** Saved versions of one plan that are kept, the newest; refused ones are kept besides, as many. */
  edits: 500,
  /** Numbers of one running order. */
  slots: MOST_CALLS,
  /** Presses of one run, and their bytes as they are sent: a long day with heart rate has some 800 in 100 kB. */
  presses: 10_000,
  pressBytes: 4_000_000,
  /** Presses in one request. */
  pressesTogether: 500,
  /** Lists with lines open, told of together. */
  openLists: 100,
  /** Ticks in one request. */
  ticksTogether: 200,
  /** Problems told of one input. */
  problems: 20,
  /** Starts in one list, and in one list of those that have been. */
  listedStarts: 100,
  listedBefore: 20,
  /** Starts asked for whole at once. */
  startsTogether: 20,
  /** Of these, how many are told with how they stand: those in sight. */
  glances: 3,
  /** Entries of one page: audit trail, edits, log. */
  page: 50,
} as const;

/** A press may be stamped so far ahead of the server's clock, milliseconds: a phone's may be a little fast. Custom. */
export const MOST_AHEAD = 120_000;
