import type { QueryInterface } from "sequelize";
import type { RunnableMigration } from "umzug";

/** Drills of the shelf are edited and archived, against a version like everything else that is edited. */
export const shelf: RunnableMigration<QueryInterface> = {
  name: "0003-shelf",
  async up({ context }) {
    await context.sequelize.query(`
      ALTER TABLE drills
        ADD COLUMN version integer NOT NULL DEFAULT 1,
        ADD COLUMN archived boolean NOT NULL DEFAULT false,
        ADD COLUMN changed_at timestamptz NOT NULL DEFAULT now();
      CREATE INDEX plans_by_time ON plans (club_id, created_at DESC);
    `);
  },
};
