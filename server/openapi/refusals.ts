import { ERROR_CODES, type ErrorCode } from "@tonodrome/core/api";
import type { Access } from "../src/access/access";
import { STATUS } from "../src/errors/status";

/** What of a route tells how it may refuse. */
export interface Refusing {
  isWrite: boolean;
  access: Access;
  notInDemo: boolean;
  /** Whether its path names something. */
  hasParams: boolean;
  /** Whether what is sent names the version that it was made against. */
  isVersioned: boolean;
  /** Those that only the route itself knows of. */
  more: readonly ErrorCode[];
}

/** @returns every code with which a route may refuse, in the order of the list of codes */
export function refusalsOf({
  isWrite,
  access,
  notInDemo,
  hasParams,
  isVersioned,
  more,
}: Refusing): ErrorCode[] {
  const all = new Set<ErrorCode>(["invalid_input", "too_many", "unavailable", "internal", ...more]);
  if (access !== "anybody") all.add("signed_out");
  // A write may come from another site's page.
  if (isWrite || notInDemo || ["read", "run", "build", "manage"].includes(access)) all.add("forbidden");
  if (hasParams) all.add("not_found");
  if (isVersioned) all.add("version_conflict");
  if (isWrite) all.add("too_large").add("unsupported_media_type");
  return ERROR_CODES.filter((code) => all.has(code));
}

/** The same by the status of their answers. */
export function byStatus(codes: readonly ErrorCode[]): Map<number, ErrorCode[]> {
  const grouped = new Map<number, ErrorCode[]>();
  for (const code of codes) grouped.set(STATUS[code], [...(grouped.get(STATUS[code]) ?? []), code]);
  return new Map([...grouped].sort(([a], [b]) => a - b));
}
