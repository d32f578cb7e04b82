import { cutText, pathText } from "@tonodrome/core";
import { MOST } from "@tonodrome/core/api";
import type { FastifySchemaCompiler } from "fastify";
import type { z } from "zod";
import { Refusal } from "../errors/refusal";
import { type Problem, shapeFaults } from "./shapeFaults";

/** Longest path and message that are told: both may hold what was sent. */
const LONGEST = { path: 200, message: 300 };

const cut = (text: string, most: number) => (text.length > most ? `${cutText(text, most - 1)}…` : text);

/**
 * Reads a value by its schema, all of it or not at all.
 * @returns the value, or the first problems there are, at most so many
 */
export function readValue<T extends z.ZodType>(
  schema: T,
  value: unknown,
): { value: z.infer<T> } | { problems: Problem[] } {
  const misshapen = shapeFaults(schema, value);
  if (misshapen) return { problems: told(misshapen) };
  const read = schema.safeParse(value);
  if (read.success) return { value: read.data };
  return {
    problems: told(
      read.error.issues
        .slice(0, MOST.problems)
        .map(({ path, message }) => ({ path: pathText(path), message })),
    ),
  };
}

function told(problems: readonly Problem[]): Problem[] {
  return problems.slice(0, MOST.problems).map(({ path, message }) => ({
    path: cut(path, LONGEST.path),
    message: cut(message, LONGEST.message),
  }));
}

/** The refusal of an input with problems; each path is said to lie at `within`, if that is given. */
export function refusalOf(problems: readonly Problem[], within = ""): Refusal {
  const placed = problems.map(({ path, message }) => ({
    path: [within, path].filter(Boolean).join("."),
    message,
  }));
  const [first] = placed;
  return new Refusal("invalid_input", first?.message ?? "Something in this request is not allowed.", {
    path: first?.path ?? null,
    problems: placed,
  });
}

/** How Fastify is to check a route's parameters, query and body. */
export const validatorCompiler: FastifySchemaCompiler<z.ZodType> =
  ({ schema }) =>
  (data) => {
    const read = readValue(schema, data);
    return "value" in read ? read : { error: refusalOf(read.problems) };
  };
