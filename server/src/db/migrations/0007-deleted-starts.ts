import type { QueryInterface } from "sequelize";
import type { RunnableMigration } from "umzug";

/** Starts that were deleted are kept for a while, so that it can be taken back. */
export const deletedStarts: RunnableMigration<QueryInterface> = {
  name: "0007-deleted-starts",
  async up({ context }) {
    await context.sequelize.query(`
      ALTER TABLE starts ADD COLUMN deleted_at timestamptz;
      CREATE INDEX starts_deleted ON starts (deleted_at) WHERE deleted_at IS NOT NULL;
    `);
  },
};
