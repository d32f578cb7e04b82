import type { QueryInterface } from "sequelize";
import type { RunnableMigration } from "umzug";

/** Figures of checks that a club has of its own. */
export const figures: RunnableMigration<QueryInterface> = {
  name: "0008-figures",
  async up({ context }) {
    await context.sequelize.query(`
      CREATE TABLE club_figures (
        club_id uuid PRIMARY KEY REFERENCES clubs (id) ON DELETE CASCADE,
        version integer NOT NULL CHECK (version >= 1),
        figures jsonb NOT NULL
      );
      CREATE INDEX runs_of_athlete ON runs (club_id, athlete_id, starts_at DESC);
    `);
  },
};
