import type { QueryInterface } from "sequelize";
import type { RunnableMigration } from "umzug";

/** What is known of drills, athletes, events and the day of a start; and warm-ups that others begin from. */
export const building: RunnableMigration<QueryInterface> = {
  name: "0004-building",
  async up({ context }) {
    await context.sequelize.query(`
      ALTER TABLE drills ADD COLUMN details jsonb;

      -- Written out, so that this migration does the same whatever becomes of the code.
      ALTER TABLE athletes
        ADD COLUMN version integer NOT NULL DEFAULT 1,
        ADD COLUMN profile jsonb NOT NULL DEFAULT '{"ageBand": null, "dominantSide": null, "eventIds": [], "scales": [],
          "usualMinutes": 0, "usualReps": 0, "recentLoad": "usual", "protectedAreas": [], "equipment": [],
          "approach": null, "notes": ""}';

      CREATE TABLE event_types (
        id uuid NOT NULL,
        club_id uuid NOT NULL REFERENCES clubs (id) ON DELETE CASCADE,
        version integer NOT NULL DEFAULT 1,
        archived boolean NOT NULL DEFAULT false,
        name text NOT NULL,
        body jsonb NOT NULL,
        created_at timestamptz NOT NULL DEFAULT now(),
        PRIMARY KEY (club_id, id)
      );

      ALTER TABLE starts
        ADD COLUMN event_id uuid,
        ADD COLUMN setting jsonb NOT NULL DEFAULT '{"indoors": true, "temperature": null, "wind": "calm", "wet": false,
          "day": 1, "order": null, "people": 1, "spaces": [], "equipment": [], "kitReady": []}',
        ADD FOREIGN KEY (club_id, event_id) REFERENCES event_types (club_id, id) ON DELETE SET NULL (event_id);

      CREATE TABLE templates (
        id uuid NOT NULL,
        club_id uuid NOT NULL REFERENCES clubs (id) ON DELETE CASCADE,
        name text NOT NULL,
        body jsonb NOT NULL,
        created_at timestamptz NOT NULL DEFAULT now(),
        PRIMARY KEY (club_id, id)
      );
    `);
  },
};
