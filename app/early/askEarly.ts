import { ME, PATIENCE_MS, STARTS_AT_A_TIME, startsPath, wholePath } from "./asks";

/** An answer that is on its way or there: null where there is none. */
export type Early = Promise<Response | null>;

/** What was asked early, by its addresses. */
export interface Asked {
  answers: Map<string, Early>;
  /** What stands in those that are there and are what was asked for. */
  bodies: Map<string, unknown>;
}

async function ask(path: string, { answers, bodies }: Asked): Promise<unknown> {
  const answer = fetch(`/api${path}`, { signal: AbortSignal.timeout(PATIENCE_MS) }).catch(() => null);
  // It is read here as well as by whoever takes it.
  answers.set(
    path,
    answer.then((a) => a?.clone() ?? null),
  );
  const found = await answer;
  const body = found?.ok ? await found.json().catch(() => null) : null;
  if (body) bodies.set(path, body);
  return body;
}

/**
 * Asks what Today opens with while the application itself is still loading.
 * @param chosen the club that was chosen on this device; null for the first
 * @returns what was asked, more of it as it goes on
 */
export function askEarly(chosen: string | null): Asked {
  const asked: Asked = { answers: new Map(), bodies: new Map() };
  const go = async () => {
    const me = (await ask(ME, asked)) as { clubs?: { id: string }[] } | null;
    const clubs = me?.clubs ?? [];
    const club = clubs.find((c) => c.id === chosen) ?? clubs[0];
    if (!club) return;
    const at = `/clubs/${club.id}`;
    const list = (await ask(at + startsPath(Date.now()), asked)) as { starts?: { id: string }[] } | null;
    const ids = (list?.starts ?? []).map((s) => s.id).slice(0, STARTS_AT_A_TIME);
    if (ids.length > 0) await ask(at + wholePath(ids), asked);
  };
  void go().catch(() => undefined);
  return asked;
}
