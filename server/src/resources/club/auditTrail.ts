import { type AuditEntry, auditListSchema, auditQuerySchema, clubParamsSchema } from "@tonodrome/core/api";
import { QueryTypes } from "sequelize";
import { askerOf } from "../../access/access";
import type { Resource } from "../context";

const PAGE = 50;

/** Who and what are named as they are called now: the trail itself holds ids. */
const READ = `
  SELECT e.id::text, e.at, u.name AS who, e.action,
    coalesce(a.name, d.name, s.title || ', ' || sa.name, p.title || ', ' || pa.name, ev.name, t.name, o.title, r.title || ', ' || r.athlete_name,
      person.name) AS what,
    e.detail
  FROM audit_entries e
  LEFT JOIN users u ON u.id = e.user_id
  LEFT JOIN athletes a ON a.club_id = e.club_id AND a.id = e.subject_id
  LEFT JOIN drills d ON d.club_id = e.club_id AND d.id = e.subject_id
  LEFT JOIN starts s ON s.club_id = e.club_id AND s.id = e.subject_id
  LEFT JOIN athletes sa ON sa.club_id = s.club_id AND sa.id = s.athlete_id
  LEFT JOIN plans pl ON pl.club_id = e.club_id AND pl.id = e.subject_id
  LEFT JOIN starts p ON p.club_id = pl.club_id AND p.id = pl.start_id
  LEFT JOIN athletes pa ON pa.club_id = p.club_id AND pa.id = p.athlete_id
  LEFT JOIN event_types ev ON ev.club_id = e.club_id AND ev.id = e.subject_id
  LEFT JOIN running_orders o ON o.club_id = e.club_id AND o.id = e.subject_id
  LEFT JOIN templates t ON t.club_id = e.club_id AND t.id = e.subject_id
  LEFT JOIN runs r ON r.club_id = e.club_id AND r.id = e.subject_id
  LEFT JOIN users person ON person.id = e.subject_id
  WHERE e.club_id = $1 AND ($2::bigint IS NULL OR e.id < $2)
  ORDER BY e.id DESC LIMIT ${PAGE + 1}`;

/** Who changed what, newest first, for the club's owners. */
export const auditTrail: Resource =
  ({ sequelize }) =>
  (app, _options, done) => {
    app.get(
      "/clubs/:clubId/audit",
      {
        config: { access: "manage" },
        schema: {
          params: clubParamsSchema,
          querystring: auditQuerySchema,
          response: { 200: auditListSchema },
        },
      },
      async (request) => {
        const bind = [askerOf(request).clubId, request.query.before ?? null];
        const rows = await sequelize.query<Omit<AuditEntry, "at"> & { at: Date }>(READ, {
          bind,
          type: QueryTypes.SELECT,
        });
        const page = rows.slice(0, PAGE);
        return {
          entries: page.map((row) => ({ ...row, at: row.at.toISOString() })),
          next: rows.length > PAGE ? (page.at(-1)?.id ?? null) : null,
        };
      },
    );
    done();
  };
