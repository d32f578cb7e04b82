import { z } from "zod";
import { figureListSchema } from "../../plan/ownFigure";
import { versionSchema } from "../common/common";

/**
 * A club's figures as the server answers, version 1 and none where it never changed any; and what writing them sends,
 * against the version that was read.
 */
export const figuresSchema = z.strictObject({ version: versionSchema, figures: figureListSchema });

export type ClubFiguresAnswer = z.infer<typeof figuresSchema>;
