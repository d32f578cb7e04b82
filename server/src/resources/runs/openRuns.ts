import { RUN_FORGOTTEN_HOURS } from "@tonodrome/core";
import { clubParamsSchema, MOST, openRunListSchema } from "@tonodrome/core/api";
import { QueryTypes } from "sequelize";
import { askerOf } from "../../access/access";
import type { Resource } from "../context";

interface Row {
  id: string;
  startId: string;
  kind: "warm-up" | "cool-down";
  beganAt: string | null;
  by: string | null;
}

/**
 * Runs under way, the latest made first: begun, not ended, and made within the half day after which a run that nobody ended is
 * over (`isRunOver`). Each with whoever went on with it last, or made it, as long as they are members.
 */
const SQL = `
  SELECT r.id, r.start_id AS "startId", r.summary ->> 'kind' AS kind, r.summary ->> 'beganAt' AS "beganAt", (
    SELECT u.name FROM members m JOIN users u ON u.id = m.user_id
    WHERE m.club_id = r.club_id AND m.user_id = coalesce(
      (SELECT (k.event ->> 'who')::uuid FROM run_events k
        WHERE k.club_id = r.club_id AND k.run_id = r.id AND k.event ->> 'kind' = 'take'
        ORDER BY (k.event ->> 'at')::timestamptz DESC, k.id DESC LIMIT 1),
      (SELECT a.user_id FROM audit_entries a
        WHERE a.club_id = r.club_id AND a.subject_id = r.id AND a.action = 'run.make' LIMIT 1))) AS by
  FROM runs r
  JOIN starts s ON s.club_id = r.club_id AND s.id = r.start_id AND s.deleted_at IS NULL
  WHERE r.club_id = $1 AND r.created_at > now() - interval '${RUN_FORGOTTEN_HOURS} hours' AND r.summary ->> 'endedAt' IS NULL
    AND ($2::uuid IS NULL OR r.athlete_id = $2)
  ORDER BY r.created_at DESC, r.id LIMIT ${MOST.page}`;

/** Runs that go on somewhere, for whoever would otherwise begin a second one by chance. */
export const openRuns: Resource = (context) => (app, _options, done) => {
  app.get(
    "/clubs/:clubId/open-runs",
    { config: { access: "see" }, schema: { params: clubParamsSchema, response: { 200: openRunListSchema } } },
    async (request) => {
      const { clubId, onlyAthlete } = askerOf(request);
      const runs = await context.sequelize.query<Row>(SQL, {
        bind: [clubId, onlyAthlete ?? null],
        type: QueryTypes.SELECT,
      });
      return { runs };
    },
  );
  done();
};
