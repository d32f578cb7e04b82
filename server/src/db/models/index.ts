import type { Dose, Phase, PlanBody, Priority, RunEvent, RunPlan } from "@tonodrome/core";
import { DataTypes, type Model, type ModelStatic, type Sequelize } from "sequelize";

export interface ClubRow {
  id: string;
  name: string;
  demo: boolean;
}

export interface AthleteRow {
  id: string;
  clubId: string;
  name: string;
}

export interface DrillRow {
  id: string;
  clubId: string;
  name: string;
  phase: Phase;
  priority: Priority;
  intensity: number;
  dose: Dose;
  focus: string;
  place: string;
}

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
}

export interface PlanRow {
  id: string;
  clubId: string;
  startId: string;
  version: number;
  body: PlanBody;
}

export interface PlanEditRow {
  clubId: string;
  planId: string;
  version: number;
  outcome: "saved" | "refused";
  body: PlanBody;
  at: Date;
}

export interface RunRow {
  id: string;
  clubId: string;
  startId: string | null;
  athleteName: string;
  title: string;
  venue: string;
  zone: string;
  startsAt: Date;
  plan: RunPlan;
  createdAt: Date;
}

export interface RunEventRow {
  id: string;
  clubId: string;
  runId: string;
  event: RunEvent;
}

type Creation<Row, Optional extends keyof Row = never> = Omit<Row, Optional> & Partial<Pick<Row, Optional>>;
type Table<Row extends object, Made extends object = Row> = ModelStatic<Model<Row, Made> & Row>;

export interface Models {
  Club: Table<ClubRow>;
  Athlete: Table<AthleteRow>;
  Drill: Table<DrillRow>;
  Start: Table<StartRow>;
  Plan: Table<PlanRow>;
  PlanEdit: Table<PlanEditRow, Creation<PlanEditRow, "at">>;
  Run: Table<RunRow, Creation<RunRow, "createdAt">>;
  RunEvent: Table<RunEventRow>;
}

const { BOOLEAN, DATE, INTEGER, JSONB, TEXT, UUID } = DataTypes;
const needed = <T>(type: T) => ({ type, allowNull: false });
const key = { type: UUID, primaryKey: true };
const clubId = needed(UUID);
const name = needed(TEXT);

/** Defines every table's model. Columns and defaults are the migrations' business; this only maps them. */
export function defineModels(sequelize: Sequelize): Models {
  const options = { underscored: true, timestamps: false };
  const define = (model: string, tableName: string, columns: object) =>
    sequelize.define(model, columns as never, { ...options, tableName });

  const models = {
    Club: define("Club", "clubs", { id: key, name, demo: needed(BOOLEAN) }),
    Athlete: define("Athlete", "athletes", { id: key, clubId, name }),
    Drill: define("Drill", "drills", {
      id: key,
      clubId,
      name,
      phase: needed(TEXT),
      priority: needed(TEXT),
      intensity: needed(INTEGER),
      dose: needed(JSONB),
      focus: needed(TEXT),
      place: needed(TEXT),
    }),
    Start: define("Start", "starts", {
      id: key,
      clubId,
      version: needed(INTEGER),
      athleteId: needed(UUID),
      title: needed(TEXT),
      venue: needed(TEXT),
      zone: needed(TEXT),
      startsAt: needed(DATE),
      readyAt: needed(DATE),
    }),
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
      at: { type: DATE, allowNull: false, defaultValue: DataTypes.NOW },
    }),
    Run: define("Run", "runs", {
      id: key,
      clubId,
      startId: { type: UUID },
      athleteName: needed(TEXT),
      title: needed(TEXT),
      venue: needed(TEXT),
      zone: needed(TEXT),
      startsAt: needed(DATE),
      plan: needed(JSONB),
      createdAt: { type: DATE, allowNull: false, defaultValue: DataTypes.NOW },
    }),
    RunEvent: define("RunEvent", "run_events", {
      id: key,
      clubId: { ...clubId, primaryKey: true },
      runId: { type: UUID, primaryKey: true },
      event: needed(JSONB),
    }),
  } as unknown as Models;

  models.Start.belongsTo(models.Athlete, { as: "athlete", foreignKey: "athleteId", constraints: false });
  models.Start.hasOne(models.Plan, { as: "plan", foreignKey: "startId", constraints: false });
  models.Run.hasMany(models.RunEvent, { as: "events", foreignKey: "runId", constraints: false });
  return models;
}
