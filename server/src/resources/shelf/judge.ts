import { clubParamsSchema, judgedSchema } from "@tonodrome/core/api";
import { fitFileSchema } from "@tonodrome/core/fitting";
import { askerOf } from "../../access/access";
import { hangUpOf } from "../../threads/hangUp";
import type { Resource } from "../context";

/** The forecast and the checks for programs: what is sent is a plan with its day, as the command line reads it. */
export const judge: Resource = (context) => (app, _options, done) => {
  app.post(
    "/clubs/:clubId/judge",
    {
      config: { access: "read" },
      schema: { params: clubParamsSchema, body: fitFileSchema, response: { 200: judgedSchema } },
    },
    async (request, reply) => {
      const { clubId, userId } = askerOf(request);
      const signal = hangUpOf(reply);
      await context.rateLimits.judge(userId);
      const row = await context.models.ClubFigures.findByPk(clubId);
      // The club's own figures hold, unless the file has others.
      const figures = [...(row?.figures ?? []), ...request.body.figures];
      const file = { ...request.body, figures };
      return context.threads.do("judge", file, { whose: userId, signal }) as never;
    },
  );
  done();
};
