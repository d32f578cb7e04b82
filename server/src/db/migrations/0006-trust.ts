import type { QueryInterface } from "sequelize";
import type { RunnableMigration } from "umzug";

/**
 * What is invisible or turns the direction of text, as a PostgreSQL regular expression. Written out, so that this
 * migration does the same whatever becomes of the code.
 */
const UNSEEN = String.raw`'[\u00AD\u034F\u061C\u115F\u1160\u17B4\u17B5\u180B-\u180F\u200B\u200E\u200F\u2028-\u202E\u2060-\u206F\u3164\uFEFF\uFFA0]'`;

const NAMED = ["clubs", "users", "athletes", "drills", "event_types", "templates"];
const WRITTEN = [
  ["athletes", "profile"],
  ["drills", "dose"],
  ["drills", "details"],
  ["event_types", "body"],
  ["templates", "body"],
  ["starts", "setting"],
  ["plans", "body"],
  ["plan_edits", "body"],
  ["runs", "plan"],
  ["run_events", "event"],
];
const NOTED = [
  ["drills", "focus"],
  ["drills", "place"],
  ["starts", "title"],
  ["starts", "venue"],
  ["runs", "athlete_name"],
  ["runs", "title"],
  ["runs", "venue"],
];
const VERSIONED = ["athletes", "drills", "event_types", "starts", "plans", "plan_edits"];

/** Demo visitors marked as such, makers of links, summaries of runs, resets, and what earlier releases let in. */
export const trust: RunnableMigration<QueryInterface> = {
  name: "0006-trust",
  async up({ context }) {
    await context.sequelize.query(`
      -- A demo was one club shared by all. Where somebody with an account belongs to it, it becomes an ordinary club.
      ALTER TABLE users ADD COLUMN demo boolean NOT NULL DEFAULT false;
      UPDATE users SET demo = true WHERE password_hash IS NULL;
      UPDATE clubs SET demo = false WHERE demo AND EXISTS (
        SELECT 1 FROM members m JOIN users u ON u.id = m.user_id WHERE m.club_id = clubs.id AND NOT u.demo);
      DELETE FROM clubs WHERE demo;
      DELETE FROM users WHERE demo;
      ALTER TABLE users DROP CONSTRAINT users_email_key, ADD UNIQUE (id, demo);
      CREATE UNIQUE INDEX users_by_email ON users (email) WHERE NOT demo;
      ALTER TABLE clubs ADD UNIQUE (id, demo);
      CREATE INDEX clubs_of_demo ON clubs (created_at) WHERE demo;
      -- A visitor of the demo belongs to no real club and nobody real to a demo, whatever a program does.
      ALTER TABLE members ADD COLUMN demo boolean NOT NULL DEFAULT false,
        ADD FOREIGN KEY (club_id, demo) REFERENCES clubs (id, demo) ON DELETE CASCADE,
        ADD FOREIGN KEY (user_id, demo) REFERENCES users (id, demo) ON DELETE CASCADE;

      ALTER TABLE invites ADD COLUMN made_by uuid REFERENCES users (id) ON DELETE SET NULL,
        ADD COLUMN by_operator boolean NOT NULL DEFAULT false;
      ALTER TABLE shares ADD COLUMN made_by uuid REFERENCES users (id) ON DELETE SET NULL;
      -- Who made those there are is in the audit trail; what nobody is known to have made falls.
      UPDATE invites i SET made_by = e.user_id FROM audit_entries e
        WHERE e.club_id = i.club_id AND e.subject_id = i.id AND e.action = 'invite.make';
      UPDATE shares h SET made_by = (SELECT e.user_id FROM audit_entries e
        WHERE e.club_id = h.club_id AND e.subject_id = h.start_id AND e.action = 'share.make'
          AND e.at BETWEEN h.created_at - interval '1 minute' AND h.created_at + interval '1 minute'
        ORDER BY abs(extract(epoch FROM e.at - h.created_at)) LIMIT 1);
      UPDATE invites SET withdrawn_at = now() WHERE made_by IS NULL AND withdrawn_at IS NULL AND used_at IS NULL;
      UPDATE shares SET withdrawn_at = now() WHERE made_by IS NULL AND withdrawn_at IS NULL;
      CREATE INDEX shares_by_club ON shares (club_id, created_at);

      CREATE TABLE password_resets (
        token_hash bytea PRIMARY KEY,
        user_id uuid NOT NULL REFERENCES users (id) ON DELETE CASCADE,
        expires_at timestamptz NOT NULL
      );

      -- What the log shows of a run, stored; of how many presses it tells is stored with it.
      ALTER TABLE runs ADD COLUMN presses integer NOT NULL DEFAULT 0,
        ADD COLUMN press_bytes integer NOT NULL DEFAULT 0,
        ADD COLUMN summary jsonb,
        ADD COLUMN summed integer NOT NULL DEFAULT -1;
      UPDATE runs r SET presses = e.n, press_bytes = least(e.bytes, 2000000000) FROM (
        SELECT club_id, run_id, count(*) AS n, sum(octet_length(event::text)) AS bytes FROM run_events GROUP BY 1, 2) e
        WHERE e.club_id = r.club_id AND e.run_id = r.id;
      -- In whole milliseconds, as a page's cursor has it: of two runs of one microsecond's difference none is passed over.
      UPDATE runs SET created_at = date_trunc('milliseconds', created_at);
      ALTER TABLE runs ALTER created_at SET DEFAULT date_trunc('milliseconds', now());
      CREATE INDEX runs_by_page ON runs (club_id, created_at DESC, id DESC);
      DROP INDEX runs_by_time;

      -- Stamped ahead of when they came: as late as they can have been pressed.
      UPDATE run_events SET event = jsonb_set(event, '{at}',
          to_jsonb(to_char(received_at AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"')))
        WHERE (event ->> 'at')::timestamptz > received_at + interval '2 minutes';

      ${VERSIONED.map((t) => `UPDATE ${t} SET version = 1000000 WHERE version > 1000000;`).join("\n")}
      ${NAMED.map(
        (
          t,
        ) => `UPDATE ${t} SET name = coalesce(nullif(trim(regexp_replace(name, ${UNSEEN}, '', 'g')), ''), 'Unnamed')
          WHERE name ~ ${UNSEEN};`,
      ).join("\n")}
      ${NOTED.map(([t, c]) => `UPDATE ${t} SET ${c} = regexp_replace(${c}, ${UNSEEN}, '', 'g') WHERE ${c} ~ ${UNSEEN};`).join("\n")}
      ${WRITTEN.map(
        ([t, c]) =>
          `UPDATE ${t} SET ${c} = regexp_replace(${c}::text, ${UNSEEN}, '', 'g')::jsonb WHERE ${c}::text ~ ${UNSEEN};`,
      ).join("\n")}
    `);
  },
};
