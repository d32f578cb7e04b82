import type { QueryInterface } from "sequelize";
import type { RunnableMigration } from "umzug";

/**
 * Every table carries the club's id, and references include it, so that a row cannot point into another club.
 */
export const firstTables: RunnableMigration<QueryInterface> = {
  name: "0001-first-tables",
  async up({ context }) {
    await context.sequelize.query(`
      CREATE TABLE clubs (
        id uuid PRIMARY KEY,
        name text NOT NULL,
        demo boolean NOT NULL DEFAULT false,
        created_at timestamptz NOT NULL DEFAULT now()
      );

      CREATE TABLE athletes (
        id uuid PRIMARY KEY,
        club_id uuid NOT NULL REFERENCES clubs (id) ON DELETE CASCADE,
        name text NOT NULL,
        created_at timestamptz NOT NULL DEFAULT now(),
        UNIQUE (club_id, id)
      );

      CREATE TABLE drills (
        id uuid PRIMARY KEY,
        club_id uuid NOT NULL REFERENCES clubs (id) ON DELETE CASCADE,
        name text NOT NULL,
        phase text NOT NULL,
        priority text NOT NULL,
        intensity integer NOT NULL,
        dose jsonb NOT NULL,
        focus text NOT NULL,
        place text NOT NULL,
        created_at timestamptz NOT NULL DEFAULT now(),
        UNIQUE (club_id, id)
      );

      CREATE TABLE starts (
        id uuid PRIMARY KEY,
        club_id uuid NOT NULL REFERENCES clubs (id) ON DELETE CASCADE,
        version integer NOT NULL DEFAULT 1,
        athlete_id uuid NOT NULL,
        title text NOT NULL,
        venue text NOT NULL,
        zone text NOT NULL,
        starts_at timestamptz NOT NULL,
        ready_at timestamptz NOT NULL,
        created_at timestamptz NOT NULL DEFAULT now(),
        UNIQUE (club_id, id),
        FOREIGN KEY (club_id, athlete_id) REFERENCES athletes (club_id, id)
      );
      CREATE INDEX starts_by_time ON starts (club_id, starts_at);

      CREATE TABLE plans (
        id uuid PRIMARY KEY,
        club_id uuid NOT NULL REFERENCES clubs (id) ON DELETE CASCADE,
        start_id uuid NOT NULL UNIQUE,
        version integer NOT NULL DEFAULT 1,
        body jsonb NOT NULL,
        created_at timestamptz NOT NULL DEFAULT now(),
        UNIQUE (club_id, id),
        FOREIGN KEY (club_id, start_id) REFERENCES starts (club_id, id) ON DELETE CASCADE
      );

      CREATE TABLE plan_edits (
        id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
        club_id uuid NOT NULL REFERENCES clubs (id) ON DELETE CASCADE,
        plan_id uuid NOT NULL,
        version integer NOT NULL,
        outcome text NOT NULL CHECK (outcome IN ('saved', 'refused')),
        body jsonb NOT NULL,
        at timestamptz NOT NULL DEFAULT now(),
        FOREIGN KEY (club_id, plan_id) REFERENCES plans (club_id, id) ON DELETE CASCADE
      );
      CREATE INDEX plan_edits_by_plan ON plan_edits (club_id, plan_id, id);

      CREATE TABLE runs (
        id uuid PRIMARY KEY,
        club_id uuid NOT NULL REFERENCES clubs (id) ON DELETE CASCADE,
        start_id uuid,
        athlete_name text NOT NULL,
        title text NOT NULL,
        venue text NOT NULL,
        zone text NOT NULL,
        starts_at timestamptz NOT NULL,
        plan jsonb NOT NULL,
        created_at timestamptz NOT NULL DEFAULT now(),
        UNIQUE (club_id, id),
        -- A log outlives the start it was made for.
        FOREIGN KEY (club_id, start_id) REFERENCES starts (club_id, id) ON DELETE SET NULL (start_id)
      );
      CREATE INDEX runs_by_time ON runs (club_id, created_at DESC);

      CREATE TABLE run_events (
        id uuid NOT NULL,
        club_id uuid NOT NULL REFERENCES clubs (id) ON DELETE CASCADE,
        run_id uuid NOT NULL,
        event jsonb NOT NULL,
        received_at timestamptz NOT NULL DEFAULT now(),
        PRIMARY KEY (club_id, run_id, id),
        FOREIGN KEY (club_id, run_id) REFERENCES runs (club_id, id) ON DELETE CASCADE
      );
    `);
  },
};
