import { MOST_DRILLS } from "@tonodrome/core";
import { earlierRunsSchema, idParamsSchema, MOST_EARLIER } from "@tonodrome/core/api";
import { QueryTypes } from "sequelize";
import { askerOf } from "../../access/access";
import { notFound } from "../../errors/refusal";
import type { Resource } from "../context";

interface Row {
  day: string;
  drillIds: string[];
  seconds: number;
}

/**
 * The last warm-ups of an athlete that began, each with the drills of the shelf it was made of. A summary that is behind the
 * presses is not gone by: whether it began is seen from them, how long it is from its plan.
 */
const SQL = `
  SELECT to_char(r.starts_at AT TIME ZONE r.zone, 'YYYY-MM-DD') AS day,
    coalesce(
      CASE WHEN r.summed = r.presses THEN (r.summary ->> 'plannedSeconds')::float END,
      (SELECT sum((d ->> 'plannedSeconds')::float) FROM jsonb_array_elements(r.plan -> 'drills') AS d), 0) AS seconds,
    coalesce((
      SELECT json_agg(id ORDER BY at) FROM (
        SELECT d.drill ->> 'drillId' AS id, min(d.at) AS at
        FROM jsonb_array_elements(r.plan -> 'drills') WITH ORDINALITY AS d(drill, at)
        WHERE d.drill ->> 'drillId' IS NOT NULL GROUP BY 1 ORDER BY 2 LIMIT ${MOST_DRILLS}
      ) AS once), '[]'::json) AS "drillIds"
  FROM runs r
  WHERE r.club_id = $1 AND r.athlete_id = $2 AND coalesce(r.plan ->> 'kind', 'warm-up') = 'warm-up'
    AND EXISTS (SELECT 1 FROM run_events e WHERE e.club_id = r.club_id AND e.run_id = r.id AND e.event ->> 'kind' = 'begin')
  ORDER BY r.starts_at DESC, r.id LIMIT ${MOST_EARLIER}`;

/** What checks look back on: whether a warm-up is always the same, or has something new. */
export const earlierRuns: Resource = (context) => (app, _options, done) => {
  app.get(
    "/clubs/:clubId/athletes/:id/earlier-runs",
    { config: { access: "read" }, schema: { params: idParamsSchema, response: { 200: earlierRunsSchema } } },
    async (request) => {
      const { clubId } = askerOf(request);
      const where = { clubId, id: request.params.id };
      if (!(await context.models.Athlete.count({ where }))) throw notFound("athlete");
      const runs = await context.sequelize.query<Row>(SQL, {
        bind: [clubId, request.params.id],
        type: QueryTypes.SELECT,
      });
      return { runs };
    },
  );
  done();
};
