import { ApiFailure } from "~/data/api";

/** Whether a link's answer is final: what it showed is no longer to be shown. */
export function isOver(error: Error): boolean {
  return error instanceof ApiFailure && (error.code === "link_over" || error.code === "not_found");
}
