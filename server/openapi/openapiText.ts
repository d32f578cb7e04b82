import { describeApi } from "./describe";
import { apiRoutes } from "./routes";

/** The description of the API as it is published. Run it at the root of the project. */
export async function openapiText(): Promise<string> {
  return `${text(describeApi(await apiRoutes()))}\n`;
}

/** A line is as long as this at most, characters, down to so deep within the document; deeper it stays whole. Both custom. */
const WIDTH = 120;
const DEPTH = 4;

/** JSON that is short and can be read: what fits into a line stands in one. */
function text(value: unknown, depth = 0): string {
  const whole = JSON.stringify(value);
  const isShort = whole.length + depth <= WIDTH || depth >= DEPTH;
  if (typeof value !== "object" || value === null || isShort) return whole;
  const indent = " ".repeat(depth);
  const parts = Array.isArray(value)
    ? value.map((one) => `${indent} ${text(one, depth + 1)}`)
    : Object.entries(value).map(([key, one]) => `${indent} ${JSON.stringify(key)}:${text(one, depth + 1)}`);
  const [open, close] = Array.isArray(value) ? "[]" : "{}";
  return `${open}\n${parts.join(",\n")}\n${indent}${close}`;
}
