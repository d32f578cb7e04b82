/** A request and its answer, as a browser heard them. */
export interface Exchange {
  method: string;
  path: string;
  body: unknown;
  status: number;
  answer: unknown;
}

/** One as it is kept: `:club` stands for the club, and of the answer there are the ids that later requests name. */
export interface KeptExchange extends Omit<Exchange, "answer"> {
  ids: Record<string, string>;
}

const UUID = /[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}/g;
const IS_UUID = new RegExp(`^${UUID.source}$`);

/** Every id in an answer, by where it stands. */
export function idsIn(answer: unknown, at = ""): Record<string, string> {
  if (typeof answer === "string") return IS_UUID.test(answer) ? { [at]: answer } : {};
  if (typeof answer !== "object" || answer === null) return {};
  return Object.assign({}, ...Object.entries(answer).map(([key, value]) => idsIn(value, `${at}/${key}`)));
}

/**
 * What is kept of a session: each write, and of reads the first of each kind; of their answers the ids that are asked for
 * later and that no request had said before.
 */
export function exchangesOf(heard: readonly Exchange[]): KeptExchange[] {
  const seen = new Set<string>();
  const kept = heard
    .filter(({ status }) => status < 400)
    .map((one) => ({ ...one, path: one.path.replace(/^\/api\/clubs\/[^/?]+/, "/api/:club") }))
    .filter(({ method, path }) => {
      const kind = `${method} ${path.replace(UUID, "*").replace(/\?.*/, "")}`;
      const isNew = !seen.has(kind);
      seen.add(kind);
      return method !== "GET" || isNew;
    });
  const said = new Set<string>();
  return kept.map(({ answer, ...one }, i) => {
    const later = new Set(
      kept.slice(i + 1).flatMap(({ path, body }) => `${path} ${JSON.stringify(body)}`.match(UUID) ?? []),
    );
    for (const id of `${one.path} ${JSON.stringify(one.body)}`.match(UUID) ?? []) said.add(id);
    const ids = Object.fromEntries(
      Object.entries(idsIn(answer)).filter(([, id]) => later.has(id) && !said.has(id)),
    );
    for (const id of Object.values(ids)) said.add(id);
    return { ...one, ids };
  });
}

/** They as a file, a line each. */
export const linesOf = (exchanges: readonly KeptExchange[]): string =>
  `[\n${exchanges.map((one) => JSON.stringify(one)).join(",\n")}\n]\n`;
