import ipaddr from "ipaddr.js";

/**
 * Returns what counts as one machine: an IPv4 address, or the /64 network of an IPv6 address, because whoever has one address of
 * it has all (RFC 6177). A text that is no address is returned as it is.
 */
export function machineOf(ip: string): string {
  if (!ipaddr.isValid(ip)) return ip;
  const address = ipaddr.process(ip);
  if (!(address instanceof ipaddr.IPv6)) return address.toString();
  const network = address.parts.slice(0, 4).map((part) => part.toString(16));
  return `${network.join(":")}::/64`;
}
