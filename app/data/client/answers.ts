import type { z } from "zod";

/*
 * What the server's answers look like. The checks are loaded with the first answer that has to be checked, not with the
 * first page: what Today opens with is taken as it comes from the server that this application came from.
 */

type Api = typeof import("@tonodrome/core/api");

/** Something of the API by its name: "start" is what `startSchema` says. */
type ApiName = { [Key in keyof Api]: Key extends `${infer Name}Schema` ? Name : never }[keyof Api];
export type AnswerName = ApiName;

/** What an answer of that name is. */
export type AnswerOf<Name extends AnswerName> = z.infer<Api[`${Name}Schema`]>;

let checks: Api | null = null;

/** The checks could not be loaded. */
export class ChecksMissing extends Error {}

/** The checks of everything that comes and goes, as soon as they are here. @throws ChecksMissing where they cannot be loaded */
async function loadChecks(): Promise<Api> {
  try {
    checks ??= await import("@tonodrome/core/api");
    return checks;
  } catch (cause) {
    throw new ChecksMissing("The checks of answers could not be loaded.", { cause });
  }
}

/**
 * An answer as it has to be; what a later server says besides stays in it.
 * @param atSight taken as it is while the checks are not here yet
 * @throws ZodError when it is not
 */
export async function checked<Name extends AnswerName>(
  name: Name,
  data: unknown,
  atSight: boolean,
): Promise<AnswerOf<Name>> {
  if (atSight && !checks) return data as AnswerOf<Name>;
  const api = await loadChecks();
  return api.tolerant(api[`${name}Schema`] as z.ZodType).parse(data) as AnswerOf<Name>;
}

/**
 * The body of a write, made from the write's own schema: of what was read only what it takes, at any depth. So nothing that
 * answers alone carry, or a later server says besides, is ever sent. What is wrong in it stays, for the server to name.
 * @param name what is sent, as its schema is called
 */
export async function bodyFrom<Name extends ApiName>(name: Name, from: object): Promise<AnswerOf<Name>> {
  const api = await loadChecks();
  const schema = api[`${name}Schema`] as unknown as z.ZodObject;
  const top = Object.fromEntries(Object.entries(from).filter(([field]) => field in schema.shape));
  return (api.leavingOut(schema).safeParse(top).data ?? top) as AnswerOf<Name>;
}
