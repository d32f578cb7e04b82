import type { z } from "zod";

/*
 * What the server's answers look like. The checks are loaded with the first answer that has to be checked, not with the
 * first page: what Today opens with is taken as it comes from the server that this application came from.
 */

type Api = typeof import("@tonodrome/core/api");

/** An answer by its name: "start" is what `startSchema` says. */
export type AnswerName = { [Key in keyof Api]: Key extends `${infer Name}Schema` ? Name : never }[keyof Api];

/** What an answer of that name is. */
export type AnswerOf<Name extends AnswerName> = z.infer<Api[`${Name}Schema`]>;

let checks: Api | null = null;

/** The checks could not be loaded. */
export class ChecksMissing extends Error {}

/** The checks of everything that comes and goes, as soon as they are here. @throws ChecksMissing where they cannot be loaded */
export async function loadChecks(): Promise<Api> {
  checks ??= await import("@tonodrome/core/api").catch((cause) => {
    throw new ChecksMissing("The checks of answers could not be loaded.", { cause });
  });
  return checks;
}

/**
 * An answer as it has to be.
 * @param atSight taken as it is while the checks are not here yet
 * @throws ZodError when it is not
 */
export async function checked<Name extends AnswerName>(
  name: Name,
  data: unknown,
  atSight: boolean,
): Promise<AnswerOf<Name>> {
  if (atSight && !checks) return data as AnswerOf<Name>;
  return (await loadChecks())[`${name}Schema`].parse(data) as AnswerOf<Name>;
}
