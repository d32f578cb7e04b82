import { check } from "../terms/check";
import { whyNot } from "../terms/whyNot";

/** The essentials do not fit the time there is. */
export const essentialsShort = check({
  code: "essentials-short",
  name: "Essentials do not fit",
  severity: "stop",
  when: "Not every essential drill fits before the start.",
  rests: "The exact fit: no arrangement of them holds.",
  figures: {},
  find: ({ fit, culprit }) =>
    fit.state === "short"
      ? [
          {
            where: ["availableSeconds"],
            words: whyNot(fit, (culprit ?? fit.culprit)?.line ?? null),
            mends: [],
          },
        ]
      : [],
});
