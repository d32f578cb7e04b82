import type { QueryInterface } from "sequelize";
import type { RunnableMigration } from "umzug";

/** Private addresses to which calendars subscribe: of one athlete's days, or of all. */
export const calendars: RunnableMigration<QueryInterface> = {
  name: "0011-calendars",
  async up({ context }) {
    await context.sequelize.query(`
      CREATE TABLE calendars (
        id uuid NOT NULL,
        club_id uuid NOT NULL REFERENCES clubs (id) ON DELETE CASCADE,
        athlete_id uuid,
        token_hash bytea NOT NULL UNIQUE,
        made_by uuid REFERENCES users (id) ON DELETE SET NULL,
        created_at timestamptz NOT NULL,
        withdrawn_at timestamptz,
        PRIMARY KEY (club_id, id),
        FOREIGN KEY (club_id, athlete_id) REFERENCES athletes (club_id, id) ON DELETE CASCADE
      );
    `);
  },
};
