import type { QueryInterface } from "sequelize";
import type { RunnableMigration } from "umzug";

/** The days of starts, what days of an event or an athlete begin with, and what is ticked off in their lists. */
export const days: RunnableMigration<QueryInterface> = {
  name: "0009-days",
  async up({ context }) {
    await context.sequelize.query(`
      CREATE TABLE days (
        id uuid NOT NULL,
        club_id uuid NOT NULL REFERENCES clubs (id) ON DELETE CASCADE,
        start_id uuid,
        event_id uuid,
        athlete_id uuid,
        version integer NOT NULL CHECK (version >= 1),
        steps jsonb,
        PRIMARY KEY (club_id, id),
        UNIQUE (club_id, start_id),
        UNIQUE (club_id, event_id),
        UNIQUE (club_id, athlete_id),
        CHECK (num_nonnulls(start_id, event_id, athlete_id) = 1),
        FOREIGN KEY (club_id, start_id) REFERENCES starts (club_id, id) ON DELETE CASCADE,
        FOREIGN KEY (club_id, event_id) REFERENCES event_types (club_id, id) ON DELETE CASCADE,
        FOREIGN KEY (club_id, athlete_id) REFERENCES athletes (club_id, id) ON DELETE CASCADE
      );

      -- Of each line of a list the press that counts.
      CREATE TABLE ticks (
        club_id uuid NOT NULL REFERENCES clubs (id) ON DELETE CASCADE,
        start_id uuid NOT NULL,
        step text NOT NULL,
        line text NOT NULL,
        is_on boolean NOT NULL,
        at timestamptz NOT NULL,
        by uuid NOT NULL,
        PRIMARY KEY (club_id, start_id, step, line),
        FOREIGN KEY (club_id, start_id) REFERENCES starts (club_id, id) ON DELETE CASCADE
      );
    `);
  },
};
