import type { QueryInterface } from "sequelize";
import type { RunnableMigration } from "umzug";

/** The time on the start list, kept from the first time that a start moves; null of one that never has. */
export const listed: RunnableMigration<QueryInterface> = {
  name: "0005-listed",
  async up({ context }) {
    await context.sequelize.query("ALTER TABLE starts ADD COLUMN listed_at timestamptz;");
  },
};
