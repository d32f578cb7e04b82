import type { QueryInterface } from "sequelize";
import type { RunnableMigration } from "umzug";

/** Running orders, and which of them a start stands in, with its number. */
export const orders: RunnableMigration<QueryInterface> = {
  name: "0010-orders",
  async up({ context }) {
    await context.sequelize.query(`
      CREATE TABLE running_orders (
        id uuid NOT NULL,
        club_id uuid NOT NULL REFERENCES clubs (id) ON DELETE CASCADE,
        version integer NOT NULL CHECK (version >= 1),
        title text NOT NULL,
        venue text NOT NULL,
        zone text NOT NULL,
        slots jsonb NOT NULL,
        calls jsonb NOT NULL,
        PRIMARY KEY (club_id, id)
      );
      ALTER TABLE starts
        ADD COLUMN order_id uuid,
        ADD COLUMN order_number integer CHECK (order_number BETWEEN 1 AND 999),
        ADD FOREIGN KEY (club_id, order_id) REFERENCES running_orders (club_id, id)
          ON DELETE SET NULL (order_id);
      CREATE INDEX starts_order ON starts (club_id, order_id);
    `);
  },
};
