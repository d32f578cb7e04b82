import { MOST_DRILLS } from "@tonodrome/core";
import { earlierRunsSchema, idParamsSchema, MOST_EARLIER } from "@tonodrome/core/api";
import { QueryTypes } from "sequelize";
import { placeOf } from "../access/access";
import { notFound } from "../errors/refusal";
import type { Resource } from "./context";

interface Row {
  day: string;
  drillIds: string[];
  seconds: number;
}

/** The last warm-ups of an athlete that began, each with the drills of the shelf it was made of. */
const SQL = `
  SELECT to_char(r.starts_at AT TIME ZONE r.zone, 'YYYY-MM-DD') AS day,
    coalesce((r.summary ->> 'plannedSeconds')::float, 0) AS seconds,
    coalesce((
      SELECT json_agg(id ORDER BY at) FROM (
        SELECT d.drill ->> 'drillId' AS id, min(d.at) AS at
        FROM jsonb_array_elements(r.plan -> 'drills') WITH ORDINALITY AS d(drill, at)
        WHERE d.drill ->> 'drillId' IS NOT NULL GROUP BY 1 ORDER BY 2 LIMIT ${MOST_DRILLS}
      ) AS once), '[]'::json) AS "drillIds"
  FROM runs r
  WHERE r.club_id = $1 AND r.athlete_id = $2 AND r.summary ->> 'kind' = 'warm-up' AND r.summary ->> 'beganAt' IS NOT NULL
  ORDER BY r.starts_at DESC, r.id LIMIT ${MOST_EARLIER}`;

/** What checks look back on: whether a warm-up is always the same, or has something new. */
export const earlierRuns: Resource = (context) => (app, _options, done) => {
  app.get(
    "/clubs/:clubId/athletes/:id/earlier-runs",
    { config: { access: "read" }, schema: { params: idParamsSchema, response: { 200: earlierRunsSchema } } },
    async (request) => {
      const { clubId } = placeOf(request);
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
