import { noProfile, usualSetting } from "@tonodrome/core";
import { DataTypes, type Model, type ModelStatic, type Sequelize } from "sequelize";
import type {
  AthleteRow,
  AuditEntryRow,
  CalendarRow,
  ClubFiguresRow,
  ClubRow,
  DayRow,
  DrillRow,
  EventTypeRow,
  InviteRow,
  MemberRow,
  OrderRow,
  PlanEditRow,
  PlanRow,
  RunEventRow,
  RunRow,
  SessionRow,
  ShareRow,
  StartRow,
  TemplateRow,
  TickRow,
  UserRow,
} from "./rows";

type Creation<Row, Optional extends keyof Row = never> = Omit<Row, Optional> & Partial<Pick<Row, Optional>>;
type Table<Row extends object, Made extends object = Row> = ModelStatic<Model<Row, Made> & Row>;

/** Every table. */
export interface Models {
  Club: Table<ClubRow>;
  ClubFigures: Table<ClubFiguresRow>;
  Athlete: Table<AthleteRow, Creation<AthleteRow, "version" | "profile">>;
  EventType: Table<EventTypeRow>;
  Template: Table<TemplateRow, Creation<TemplateRow, "createdAt">>;
  Day: Table<DayRow, Creation<DayRow, "startId" | "eventId" | "athleteId">>;
  Drill: Table<DrillRow, Creation<DrillRow, "version" | "archived" | "changedAt" | "details">>;
  Order: Table<OrderRow>;
  Start: Table<StartRow, Creation<StartRow, "eventId" | "orderId" | "orderNumber" | "setting" | "deletedAt">>;
  Plan: Table<PlanRow>;
  PlanEdit: Table<PlanEditRow, Creation<PlanEditRow, "id" | "at">>;
  Run: Table<RunRow, Creation<RunRow, "createdAt" | "presses" | "pressBytes" | "summary" | "summed">>;
  RunEvent: Table<RunEventRow>;
  Tick: Table<TickRow>;
  User: Table<UserRow, Creation<UserRow, "demo">>;
  Session: Table<SessionRow>;
  Member: Table<MemberRow, Creation<MemberRow, "joinedAt" | "demo">>;
  Invite: Table<InviteRow, Creation<InviteRow, "usedAt" | "usedBy" | "withdrawnAt" | "byOperator">>;
  Share: Table<ShareRow, Creation<ShareRow, "createdAt" | "withdrawnAt">>;
  Calendar: Table<CalendarRow, Creation<CalendarRow, "createdAt" | "withdrawnAt">>;
  AuditEntry: Table<AuditEntryRow>;
}

const { BLOB, BOOLEAN, DATE, INTEGER, JSONB, TEXT, UUID } = DataTypes;
const needed = <T>(type: T) => ({ type, allowNull: false });
const key = { type: UUID, primaryKey: true };
/** Ids are unique within their club, so the club is part of every key. */
const clubId = { ...needed(UUID), primaryKey: true };
const instant = needed(DATE);
const madeNow = { ...instant, defaultValue: DataTypes.NOW };
const name = needed(TEXT);

/** Defines every table's model. Columns and defaults are the migrations' business; this only maps them. */
export function defineModels(sequelize: Sequelize): Models {
  const options = { underscored: true, timestamps: false };
  const define = (model: string, tableName: string, columns: Record<string, object>, more: object = {}) => {
    // Sequelize writes each column's name into its definition, so none may be shared.
    const own = Object.fromEntries(Object.entries(columns).map(([name, column]) => [name, { ...column }]));
    return sequelize.define(model, own as never, { ...options, tableName, ...more });
  };

  const models = {
    Club: define("Club", "clubs", { id: key, name, demo: needed(BOOLEAN) }),
    Athlete: define("Athlete", "athletes", {
      id: key,
      clubId,
      version: { ...needed(INTEGER), defaultValue: 1 },
      name,
      profile: { ...needed(JSONB), defaultValue: noProfile },
    }),
    ClubFigures: define("ClubFigures", "club_figures", {
      clubId: { ...needed(UUID), primaryKey: true },
      version: needed(INTEGER),
      figures: needed(JSONB),
    }),
    EventType: define("EventType", "event_types", {
      id: key,
      clubId,
      version: needed(INTEGER),
      archived: needed(BOOLEAN),
      name,
      body: needed(JSONB),
    }),
    Template: define("Template", "templates", {
      id: key,
      clubId,
      name,
      body: needed(JSONB),
      createdAt: madeNow,
    }),
    Day: define("Day", "days", {
      id: key,
      clubId,
      startId: { type: UUID },
      eventId: { type: UUID },
      athleteId: { type: UUID },
      version: needed(INTEGER),
      steps: { type: JSONB },
    }),
    Drill: define("Drill", "drills", {
      id: key,
      clubId,
      version: { ...needed(INTEGER), defaultValue: 1 },
      archived: { ...needed(BOOLEAN), defaultValue: false },
      changedAt: madeNow,
      name,
      phase: needed(TEXT),
      priority: needed(TEXT),
      intensity: needed(INTEGER),
      dose: needed(JSONB),
      focus: needed(TEXT),
      place: needed(TEXT),
      details: { type: JSONB },
    }),
    Order: define("Order", "running_orders", {
      id: key,
      clubId,
      version: needed(INTEGER),
      title: needed(TEXT),
      venue: needed(TEXT),
      zone: needed(TEXT),
      slots: needed(JSONB),
      calls: needed(JSONB),
    }),
    Start: define(
      "Start",
      "starts",
      {
        id: key,
        clubId,
        version: needed(INTEGER),
        athleteId: needed(UUID),
        title: needed(TEXT),
        venue: needed(TEXT),
        zone: needed(TEXT),
        startsAt: instant,
        readyAt: instant,
        listedAt: { type: DataTypes.DATE },
        eventId: { type: UUID },
        orderId: { type: UUID },
        orderNumber: { type: INTEGER },
        setting: { ...needed(JSONB), defaultValue: usualSetting },
      },
      // Deleted ones are left out of everything that is read.
      { timestamps: true, createdAt: false, updatedAt: false, paranoid: true },
    ),
    Plan: define("Plan", "plans", {
      id: key,
      clubId,
      startId: needed(UUID),
      version: needed(INTEGER),
      body: needed(JSONB),
    }),
    PlanEdit: define("PlanEdit", "plan_edits", {
      id: { type: DataTypes.BIGINT, primaryKey: true, autoIncrement: true },
      clubId,
      planId: needed(UUID),
      version: needed(INTEGER),
      outcome: needed(TEXT),
      body: needed(JSONB),
      at: madeNow,
    }),
    Run: define("Run", "runs", {
      id: key,
      clubId,
      startId: { type: UUID },
      athleteId: { type: UUID },
      athleteName: needed(TEXT),
      title: needed(TEXT),
      venue: needed(TEXT),
      zone: needed(TEXT),
      startsAt: instant,
      plan: needed(JSONB),
      createdAt: madeNow,
      presses: { ...needed(INTEGER), defaultValue: 0 },
      pressBytes: { ...needed(INTEGER), defaultValue: 0 },
      summary: { type: JSONB },
      summed: { ...needed(INTEGER), defaultValue: -1 },
    }),
    RunEvent: define("RunEvent", "run_events", {
      id: key,
      clubId,
      runId: { type: UUID, primaryKey: true },
      event: needed(JSONB),
    }),
    Tick: define("Tick", "ticks", {
      clubId,
      startId: { ...needed(UUID), primaryKey: true },
      step: { ...needed(TEXT), primaryKey: true },
      line: { ...needed(TEXT), primaryKey: true },
      isOn: needed(BOOLEAN),
      at: instant,
      by: needed(UUID),
    }),
    User: define("User", "users", {
      id: key,
      email: needed(TEXT),
      name,
      passwordHash: { type: TEXT },
      demo: { ...needed(BOOLEAN), defaultValue: false },
    }),
    Session: define("Session", "sessions", {
      id: key,
      userId: needed(UUID),
      tokenHash: needed(BLOB),
      seenAt: instant,
      expiresAt: instant,
    }),
    Member: define("Member", "members", {
      clubId,
      userId: key,
      role: needed(TEXT),
      athleteId: { type: UUID },
      joinedAt: madeNow,
      demo: { ...needed(BOOLEAN), defaultValue: false },
    }),
    Invite: define("Invite", "invites", {
      id: key,
      clubId,
      role: needed(TEXT),
      athleteId: { type: UUID },
      tokenHash: needed(BLOB),
      expiresAt: instant,
      madeBy: { type: UUID },
      byOperator: { ...needed(BOOLEAN), defaultValue: false },
      usedAt: { type: DATE },
      usedBy: { type: UUID },
      withdrawnAt: { type: DATE },
    }),
    Share: define("Share", "shares", {
      id: key,
      clubId,
      startId: needed(UUID),
      tokenHash: needed(BLOB),
      madeBy: { type: UUID },
      createdAt: madeNow,
      expiresAt: { type: DATE },
      withdrawnAt: { type: DATE },
    }),
    Calendar: define("Calendar", "calendars", {
      id: key,
      clubId,
      athleteId: { type: UUID },
      tokenHash: needed(BLOB),
      madeBy: { type: UUID },
      createdAt: madeNow,
      withdrawnAt: { type: DATE },
    }),
    AuditEntry: define("AuditEntry", "audit_entries", {
      id: { type: DataTypes.BIGINT, primaryKey: true, autoIncrement: true },
      clubId,
      at: instant,
      userId: { type: UUID },
      action: needed(TEXT),
      subjectId: { type: UUID },
      detail: { type: JSONB },
    }),
  } as unknown as Models;

  models.Start.belongsTo(models.Athlete, { as: "athlete", foreignKey: "athleteId", constraints: false });
  models.Start.belongsTo(models.EventType, { as: "event", foreignKey: "eventId", constraints: false });
  models.Start.hasOne(models.Plan, { as: "plan", foreignKey: "startId", constraints: false });
  models.Run.hasMany(models.RunEvent, { as: "events", foreignKey: "runId", constraints: false });
  models.Invite.belongsTo(models.User, { as: "maker", foreignKey: "madeBy", constraints: false });
  models.Member.belongsTo(models.User, { as: "user", foreignKey: "userId", constraints: false });
  models.Member.belongsTo(models.Club, { as: "club", foreignKey: "clubId", constraints: false });
  return models;
}
