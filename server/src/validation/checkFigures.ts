import { clubFiguresSchema } from "@tonodrome/core/judge-answers";
import { Refusal } from "../errors/refusal";

/** @throws Refusal `invalid_input` where there is no such check or figure, or the number cannot be */
export function checkFigures(figures: unknown, path = "figures"): void {
  const issue = clubFiguresSchema.safeParse(figures).error?.issues[0];
  if (issue) throw new Refusal("invalid_input", issue.message, { path: [path, ...issue.path].join(".") });
}
