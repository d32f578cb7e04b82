import ipaddr from "ipaddr.js";

/**
 * What is counted as one machine: an IPv4 address, or the /64 that an IPv6 address is in, because whoever has one such
 * address has all of its network's (RFC 6177). What is no address is itself.
 */
export function machineOf(ip: string): string {
  if (!ipaddr.isValid(ip)) return ip;
  const address = ipaddr.process(ip);
  if (!(address instanceof ipaddr.IPv6)) return address.toString();
  const network = address.parts.slice(0, 4).map((part) => part.toString(16));
  return `${network.join(":")}::/64`;
}
