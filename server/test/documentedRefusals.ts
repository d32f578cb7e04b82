import { readFileSync } from "node:fs";
import path from "node:path";

interface Answer {
  $ref?: string;
  content?: Record<string, { schema: { allOf: [unknown, { properties: { code: { enum: string[] } } }] } }>;
}

interface Described {
  paths: Record<string, Record<string, { responses: Record<string, Answer> }>>;
  components: { responses: Record<string, Answer> };
}

const file = path.resolve(__dirname, "..", "..", "docs", "openapi.json");
const { paths, components }: Described = JSON.parse(readFileSync(file, "utf8"));

/** Every path with what it looks like; those with fewer parameters come first, as they do in a router. */
const routes = Object.keys(paths)
  .sort((a, b) => a.split("{").length - b.split("{").length)
  .map((at) => ({ at, looks: new RegExp(`^${at.replace(/\{\w+\}/g, "[^/]+")}$`) }));

/**
 * The refusals that the published description of the API says a request may be answered with.
 * @returns null where it says nothing of such an address
 */
export function documentedRefusals(method: string, url: string): Set<string> | null {
  const [address = ""] = url.split("?");
  const route = routes.find(({ looks }) => looks.test(address));
  const operation = route && paths[route.at]?.[method.toLowerCase()];
  if (!operation) return null;
  const codes = Object.values(operation.responses).flatMap(({ $ref }) => {
    const answer = $ref ? components.responses[$ref.split("/").at(-1) as string] : undefined;
    return answer?.content?.["application/json"]?.schema.allOf[1].properties.code.enum ?? [];
  });
  return new Set(codes);
}
