import type { QueryInterface } from "sequelize";
import type { RunnableMigration } from "umzug";

/**
 * People, their sessions and memberships, links, and the audit trail. Ids become unique within their club instead of
 * everywhere: a club that was exported can be imported into another one with its ids, and tables can be partitioned by
 * club.
 */
export const accounts: RunnableMigration<QueryInterface> = {
  name: "0002-accounts",
  async up({ context }) {
    await context.sequelize.query(`
      ALTER TABLE athletes DROP CONSTRAINT athletes_club_id_id_key CASCADE;
      ALTER TABLE drills DROP CONSTRAINT drills_club_id_id_key CASCADE;
      ALTER TABLE starts DROP CONSTRAINT starts_club_id_id_key CASCADE;
      ALTER TABLE plans DROP CONSTRAINT plans_club_id_id_key CASCADE;
      ALTER TABLE runs DROP CONSTRAINT runs_club_id_id_key CASCADE;
      ALTER TABLE athletes DROP CONSTRAINT athletes_pkey, ADD PRIMARY KEY (club_id, id);
      ALTER TABLE drills DROP CONSTRAINT drills_pkey, ADD PRIMARY KEY (club_id, id);
      ALTER TABLE starts DROP CONSTRAINT starts_pkey, ADD PRIMARY KEY (club_id, id),
        ADD FOREIGN KEY (club_id, athlete_id) REFERENCES athletes (club_id, id) ON DELETE CASCADE;
      ALTER TABLE plans DROP CONSTRAINT plans_pkey, ADD PRIMARY KEY (club_id, id),
        DROP CONSTRAINT plans_start_id_key, ADD UNIQUE (club_id, start_id),
        ADD FOREIGN KEY (club_id, start_id) REFERENCES starts (club_id, id) ON DELETE CASCADE;
      ALTER TABLE plan_edits DROP CONSTRAINT plan_edits_pkey, ADD PRIMARY KEY (club_id, id),
        ADD FOREIGN KEY (club_id, plan_id) REFERENCES plans (club_id, id) ON DELETE CASCADE;
      ALTER TABLE runs DROP CONSTRAINT runs_pkey, ADD PRIMARY KEY (club_id, id),
        ADD FOREIGN KEY (club_id, start_id) REFERENCES starts (club_id, id) ON DELETE SET NULL (start_id),
        ADD COLUMN athlete_id uuid,
        ADD FOREIGN KEY (club_id, athlete_id) REFERENCES athletes (club_id, id) ON DELETE CASCADE;
      ALTER TABLE run_events
        ADD FOREIGN KEY (club_id, run_id) REFERENCES runs (club_id, id) ON DELETE CASCADE;
      CREATE INDEX starts_by_athlete ON starts (club_id, athlete_id, starts_at);
      CREATE INDEX runs_by_athlete ON runs (club_id, athlete_id, created_at DESC);
      CREATE INDEX runs_by_start ON runs (club_id, start_id);

      -- A run belongs to the athlete of its start; where that is gone, to the only one of that name.
      UPDATE runs SET athlete_id = starts.athlete_id FROM starts
        WHERE starts.club_id = runs.club_id AND starts.id = runs.start_id;
      UPDATE runs SET athlete_id = named.id
        FROM (SELECT club_id, name, (array_agg(id))[1] AS id FROM athletes GROUP BY 1, 2 HAVING count(*) = 1) named
        WHERE runs.athlete_id IS NULL AND named.club_id = runs.club_id AND named.name = runs.athlete_name;

      CREATE TABLE users (
        id uuid PRIMARY KEY,
        email text NOT NULL UNIQUE,
        name text NOT NULL,
        -- Null for the demo's people, who have no password to sign in with.
        password_hash text,
        created_at timestamptz NOT NULL DEFAULT now()
      );

      CREATE TABLE sessions (
        id uuid PRIMARY KEY,
        user_id uuid NOT NULL REFERENCES users (id) ON DELETE CASCADE,
        token_hash bytea NOT NULL UNIQUE,
        created_at timestamptz NOT NULL DEFAULT now(),
        seen_at timestamptz NOT NULL DEFAULT now(),
        expires_at timestamptz NOT NULL
      );
      CREATE INDEX sessions_by_user ON sessions (user_id);
      CREATE INDEX sessions_by_end ON sessions (expires_at);

      CREATE TABLE members (
        club_id uuid NOT NULL REFERENCES clubs (id) ON DELETE CASCADE,
        user_id uuid NOT NULL REFERENCES users (id) ON DELETE CASCADE,
        role text NOT NULL CHECK (role IN ('owner', 'coach', 'assistant', 'athlete')),
        athlete_id uuid,
        joined_at timestamptz NOT NULL DEFAULT now(),
        PRIMARY KEY (club_id, user_id),
        FOREIGN KEY (club_id, athlete_id) REFERENCES athletes (club_id, id) ON DELETE SET NULL (athlete_id)
      );
      CREATE INDEX members_by_user ON members (user_id);

      CREATE TABLE invites (
        id uuid NOT NULL,
        club_id uuid NOT NULL REFERENCES clubs (id) ON DELETE CASCADE,
        role text NOT NULL CHECK (role IN ('owner', 'coach', 'assistant', 'athlete')),
        athlete_id uuid,
        token_hash bytea NOT NULL UNIQUE,
        created_at timestamptz NOT NULL DEFAULT now(),
        expires_at timestamptz NOT NULL,
        used_at timestamptz,
        used_by uuid REFERENCES users (id) ON DELETE SET NULL,
        withdrawn_at timestamptz,
        PRIMARY KEY (club_id, id),
        FOREIGN KEY (club_id, athlete_id) REFERENCES athletes (club_id, id) ON DELETE CASCADE
      );

      CREATE TABLE shares (
        id uuid NOT NULL,
        club_id uuid NOT NULL REFERENCES clubs (id) ON DELETE CASCADE,
        start_id uuid NOT NULL,
        token_hash bytea NOT NULL UNIQUE,
        created_at timestamptz NOT NULL DEFAULT now(),
        -- Null: to the end of the start's day at the venue, wherever the start moves.
        expires_at timestamptz,
        withdrawn_at timestamptz,
        PRIMARY KEY (club_id, id),
        FOREIGN KEY (club_id, start_id) REFERENCES starts (club_id, id) ON DELETE CASCADE
      );
      CREATE INDEX shares_by_start ON shares (club_id, start_id);

      CREATE TABLE audit_entries (
        id bigint GENERATED ALWAYS AS IDENTITY,
        club_id uuid NOT NULL REFERENCES clubs (id) ON DELETE CASCADE,
        at timestamptz NOT NULL DEFAULT now(),
        user_id uuid REFERENCES users (id) ON DELETE SET NULL,
        action text NOT NULL,
        subject_id uuid,
        detail jsonb,
        PRIMARY KEY (club_id, id)
      );

      CREATE TABLE rate_limits (
        key varchar(255) PRIMARY KEY,
        points integer NOT NULL DEFAULT 0,
        expire bigint
      );
    `);
  },
};
