import type {
  AthleteProfile,
  Dose,
  DrillDetails,
  EventType,
  OwnFigure,
  Phase,
  PlanBody,
  Priority,
  RunEvent,
  RunPlan,
  RunSummary,
  Setting,
} from "@tonodrome/core";
import type { Role } from "@tonodrome/core/api";
import type { DayStep } from "@tonodrome/core/day";
import type { OrderCall, OrderSlot } from "@tonodrome/core/order";

/** A club. */
export interface ClubRow {
  id: string;
  name: string;
  demo: boolean;
}

/** Figures of checks that a club has of its own. */
export interface ClubFiguresRow {
  clubId: string;
  version: number;
  figures: OwnFigure[];
}

/** An athlete with a profile. */
export interface AthleteRow {
  id: string;
  clubId: string;
  version: number;
  name: string;
  profile: AthleteProfile;
}

/** A type of event. */
export interface EventTypeRow {
  id: string;
  clubId: string;
  version: number;
  archived: boolean;
  name: string;
  body: Omit<EventType, "name">;
}

/** A warm-up kept as a template. */
export interface TemplateRow {
  id: string;
  clubId: string;
  name: string;
  body: PlanBody;
  createdAt: Date;
}

/** The day of a start, or what days of an event or an athlete begin with: of one of them. */
export interface DayRow {
  id: string;
  clubId: string;
  startId: string | null;
  eventId: string | null;
  athleteId: string | null;
  version: number;
  /** Null where it is the usual one. */
  steps: DayStep[] | null;
}

/** What counts of a line of a list: ticked off, or no more. */
export interface TickRow {
  clubId: string;
  startId: string;
  step: string;
  line: string;
  isOn: boolean;
  at: Date;
  /** The device on which it was pressed. */
  by: string;
}

/** A drill of the shelf. */
export interface DrillRow {
  id: string;
  clubId: string;
  version: number;
  archived: boolean;
  changedAt: Date;
  name: string;
  phase: Phase;
  priority: Priority;
  intensity: number;
  dose: Dose;
  focus: string;
  place: string;
  /** Null where nothing is known. */
  details: DrillDetails | null;
}

/** A private address to which a calendar subscribes. */
export interface CalendarRow {
  id: string;
  clubId: string;
  /** Null for all of the club. */
  athleteId: string | null;
  tokenHash: Buffer;
  madeBy: string | null;
  createdAt: Date;
  withdrawnAt: Date | null;
}

/** A running order: its list, and who has been on when. */
export interface OrderRow {
  id: string;
  clubId: string;
  version: number;
  title: string;
  venue: string;
  zone: string;
  slots: OrderSlot[];
  calls: OrderCall[];
}

/** A start with its setting. */
export interface StartRow {
  id: string;
  clubId: string;
  version: number;
  athleteId: string;
  title: string;
  venue: string;
  zone: string;
  startsAt: Date;
  readyAt: Date;
  /** The time on the start list; null while it is the time it starts at. */
  listedAt: Date | null;
  /** When it was deleted; null while it stands. Every reading leaves out those that were. */
  deletedAt: Date | null;
  eventId: string | null;
  /** The running order it stands in, and its number; null together. */
  orderId: string | null;
  orderNumber: number | null;
  setting: Setting;
}

/** The warm-up of a start. */
export interface PlanRow {
  id: string;
  clubId: string;
  startId: string;
  version: number;
  body: PlanBody;
}

/** An earlier version of a warm-up, or one that was refused. */
export interface PlanEditRow {
  /** A 64-bit number, as text. */
  id: string;
  clubId: string;
  planId: string;
  version: number;
  outcome: "saved" | "refused";
  body: PlanBody;
  at: Date;
}

/** A run with the plan it follows. */
export interface RunRow {
  id: string;
  clubId: string;
  startId: string | null;
  athleteId: string | null;
  athleteName: string;
  title: string;
  venue: string;
  zone: string;
  startsAt: Date;
  plan: RunPlan;
  createdAt: Date;
  /** How many presses there are, and their bytes. */
  presses: number;
  pressBytes: number;
  /** What the log shows, as it was with so many presses (`summed`). */
  summary: RunSummary | null;
  summed: number;
}

/** One press of a run. */
export interface RunEventRow {
  id: string;
  clubId: string;
  runId: string;
  event: RunEvent;
}

/** An account. */
export interface UserRow {
  id: string;
  email: string;
  name: string;
  /** Null for somebody who cannot sign in with a password. */
  passwordHash: string | null;
  /** A visitor of the demo. */
  demo: boolean;
}

/** Somebody signed in on a device. */
export interface SessionRow {
  id: string;
  userId: string;
  tokenHash: Buffer;
  seenAt: Date;
  expiresAt: Date;
}

/** Somebody's part in a club. */
export interface MemberRow {
  clubId: string;
  userId: string;
  role: Role;
  athleteId: string | null;
  joinedAt: Date;
  /** As the person and the club both are; the database keeps them apart. */
  demo: boolean;
}

/** An invitation to a club. */
export interface InviteRow {
  id: string;
  clubId: string;
  role: Role;
  athleteId: string | null;
  tokenHash: Buffer;
  expiresAt: Date;
  /** Whose rights it stands on; null where whoever runs the server made it, or the maker is gone. */
  madeBy: string | null;
  byOperator: boolean;
  usedAt: Date | null;
  usedBy: string | null;
  withdrawnAt: Date | null;
}

/** A link to a start's warm-up. */
export interface ShareRow {
  id: string;
  clubId: string;
  startId: string;
  tokenHash: Buffer;
  /** Whose rights it stands on; null when they are gone. */
  madeBy: string | null;
  createdAt: Date;
  /** Null: to the end of the start's day. */
  expiresAt: Date | null;
  withdrawnAt: Date | null;
}

/** A deed that is kept in the audit trail. */
export interface AuditEntryRow {
  clubId: string;
  at: Date;
  userId: string | null;
  action: string;
  subjectId: string | null;
  detail: Record<string, unknown> | null;
}
