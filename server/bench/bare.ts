// The least that could answer: Fastify and pg, one query a request, nobody asked who they are. What the server is
// measured against.
import Fastify from "fastify";
import pg from "pg";

const pool = new pg.Pool({
  connectionString: process.env.DATABASE_URL,
  max: Number(process.env.DATABASE_POOL ?? 10),
});
const app = Fastify();

app.get<{ Params: { clubId: string; id: string } }>("/api/clubs/:clubId/plans/:id", async ({ params }) => {
  const sql = "SELECT id, version, body FROM plans WHERE club_id = $1 AND id = $2";
  return (await pool.query(sql, [params.clubId, params.id])).rows[0];
});

app.post<{ Params: { clubId: string; id: string }; Body: { events: { id: string }[] } }>(
  "/api/clubs/:clubId/runs/:id/events",
  async ({ params, body }) => {
    await pool.query(
      `INSERT INTO run_events (club_id, run_id, id, event)
        SELECT $1, $2, (e ->> 'id')::uuid, e FROM jsonb_array_elements($3::jsonb) e ON CONFLICT DO NOTHING`,
      [params.clubId, params.id, JSON.stringify(body.events)],
    );
    return { recorded: body.events.map((e) => e.id) };
  },
);

await app.listen({ port: Number(process.env.PORT), host: "127.0.0.1" });
process.send?.({ ready: true });
