import { z } from "zod";
import { verbatimSchema } from "../words/text";
import { versionSchema } from "./common";

/** Most checks and figures of one check that are told apart in one writing; there are fewer of either. */
const MOST_CHECKS = 100;
const MOST_FIGURES = 12;

const few = <T extends z.ZodType>(values: T, longest: number, most: number) =>
  z
    .record(verbatimSchema(longest), values)
    .refine((record) => Object.keys(record).length <= most, { error: `At most ${most} of them.` });

/** Figures of checks that a club has of its own, by check and figure. Which there are the server knows. */
const figuresShape = few(few(z.number({ error: "Give a number." }), 40, MOST_FIGURES), 60, MOST_CHECKS);

/** A club's figures as the server answers, version 1 and none where it never changed any; and what writing them sends, against the version that was read. */
export const figuresSchema = z.strictObject({ version: versionSchema, figures: figuresShape });

export type ClubFiguresAnswer = z.infer<typeof figuresSchema>;
