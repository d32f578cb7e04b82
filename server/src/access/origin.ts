import type { FastifyRequest } from "fastify";
import { Refusal } from "../errors/refusal";

/**
 * Refuses a write that another site's page makes with this one's cookies. A browser always says where a write comes
 * from; a program that is no browser has no cookies to be misused and may leave it out.
 * @throws Refusal `forbidden`
 */
export function checkOrigin(request: FastifyRequest): void {
  const { origin, "sec-fetch-site": site } = request.headers;
  const isOwn = origin ? hostOf(origin) === request.host : !site || site === "same-origin" || site === "none";
  if (!isOwn) {
    throw new Refusal(
      "forbidden",
      "This was sent from another site's page. Nothing was changed; open Tonodrome itself.",
    );
  }
}

function hostOf(origin: string): string | null {
  return URL.canParse(origin) ? new URL(origin).host : null;
}
