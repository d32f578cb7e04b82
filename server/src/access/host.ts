import type { FastifyRequest } from "fastify";
import { Refusal } from "../errors/refusal";

/**
 * Refuses a request to a host name that is not this server's: another site can let its own name lead here (DNS rebinding).
 * @param hosts names with or without a port; null for any
 * @throws Refusal `invalid_input`
 */
export function checkHost(request: FastifyRequest, hosts: readonly string[] | null): void {
  if (hosts === null) return;
  const host = request.host.toLowerCase();
  if (hosts.includes(host) || hosts.includes(host.replace(/:\d+$/, ""))) return;
  throw new Refusal("invalid_input", "This server is not known by that name. Open it by its own address.");
}
