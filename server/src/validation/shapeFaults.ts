import { MOST } from "@tonodrome/core/api";
import type { z } from "zod";
import { type Def, defOf, optionsFor } from "./def";

/** One thing wrong with an input. */
export interface Problem {
  /** Dotted: "items.3.dose". */
  path: string;
  message: string;
}

/** Most elements that a list may have; infinite where its schema does not say, which a test keeps from happening. */
export function mostOf(schema: z.ZodType): number {
  const { checks = [] } = defOf(schema);
  return Math.min(
    ...checks.map(({ _zod: { def } }) => (def.check === "max_length" ? (def.maximum ?? Infinity) : Infinity)),
    Infinity,
  );
}

/**
 * Looks a value over beside its schema before the schema itself is asked, which would find every fault there is: lists
 * that are too long, and things of another kind than they should be. It stops after as many as are told, so that the
 * work is that of the schema and not of whoever sent the value.
 * @param enough how many faults are enough to refuse it without asking the schema, whose words are better
 * @returns what to refuse it with, or null where the schema may be asked
 */
export function shapeFaults(
  schema: z.ZodType,
  value: unknown,
  enough: number = MOST.problems,
): Problem[] | null {
  const found: Problem[] = [];
  const isLong = walk(schema, value, "", found);
  return isLong || found.length >= enough ? found : null;
}

/** @returns whether a list is too long */
function walk(schema: z.ZodType, value: unknown, path: string, found: Problem[]): boolean {
  if (found.length >= MOST.problems) return false;
  const def = defOf(schema);
  const at = (key: string | number) => (path === "" ? String(key) : `${path}.${key}`);
  const misfit = (message: string) => {
    found.push({ path, message });
    return false;
  };
  switch (def.type) {
    case "optional":
    case "nullable":
    case "default":
      return value !== undefined && value !== null && walk(def.innerType as z.ZodType, value, path, found);
    case "pipe":
      return walk(def.in as z.ZodType, value, path, found);
    case "array": {
      if (!Array.isArray(value)) return misfit("Give a list.");
      const most = mostOf(schema);
      if (value.length > most) {
        found.unshift({ path, message: `At most ${most} here: there are ${value.length}.` });
        return true;
      }
      return value.some((one, i) => walk(def.element as z.ZodType, one, at(i), found));
    }
    case "object": {
      if (typeof value !== "object" || value === null || Array.isArray(value))
        return misfit("Give an object.");
      const { shape = {} } = def;
      // Each key that is not known would be named.
      for (const key of Object.keys(value)
        .filter((k) => !(k in shape))
        .slice(0, MOST.problems))
        found.push({ path: at(key.slice(0, 40)), message: "This field is not known here." });
      return Object.keys(shape).some((key) => {
        const one = (value as Record<string, unknown>)[key];
        return one !== undefined && walk(shape[key] as z.ZodType, one, at(key), found);
      });
    }
    case "union":
      return walkUnion(def, value, path, found);
    case "string":
      return typeof value === "string" ? false : misfit("Give a text.");
    case "number":
      return typeof value === "number" ? false : misfit("Give a number.");
    case "boolean":
      return typeof value === "boolean" ? false : misfit("Give true or false.");
    default:
      return false;
  }
}

function walkUnion(def: Def, value: unknown, path: string, found: Problem[]): boolean {
  let first: { problems: Problem[]; isLong: boolean } | null = null;
  for (const option of optionsFor(def, value)) {
    const problems: Problem[] = [];
    const isLong = walk(option, value, path, problems);
    if (problems.length === 0) return false;
    first ??= { problems, isLong };
  }
  found.push(...(first?.problems ?? [{ path, message: "This is none of the kinds that are known here." }]));
  return first?.isLong ?? false;
}
