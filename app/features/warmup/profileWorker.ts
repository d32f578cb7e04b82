import type { FitContext, PlanBody } from "@tonodrome/core";
import { type ProfileTable, profileTable } from "@tonodrome/core/fitting";

/** What is asked of the worker: a plan, its day, and the longest time that will be asked for. */
export interface ProfileAsk {
  plan: PlanBody;
  context: FitContext;
  horizonSeconds: number;
}

/** How far it is, from 0 to 1, and in the end the table. */
export type ProfileAnswer = { share: number } | { table: ProfileTable };

/** Half a percent more is not worth a message. */
const NOTABLE = 0.1;

self.onmessage = ({ data }: MessageEvent<ProfileAsk>) => {
  let said = 0;
  const say = (answer: ProfileAnswer) => self.postMessage(answer);
  const table = profileTable(data.plan, data.context, data.horizonSeconds, (share) => {
    if (share - said < NOTABLE) return;
    said = share;
    say({ share });
  });
  say({ table });
};
