import { orderNewsSchema } from "@tonodrome/core/api";
import { currentAccount } from "~/data/account";
import type { OrderSource } from "./useRunningOrder";

/** One simulated day: runs of one start see the same. */
const SEED = 7;

/** A stand-in for a competition's running order, told by the server. */
export const simulatedOrderOf: OrderSource = {
  follow({ startId, plan }, onNews) {
    const club = currentAccount().club;
    if (!startId || !club) return () => undefined;
    const query = `listed=${encodeURIComponent(plan.startsAt)}&seed=${SEED}`;
    const stream = new EventSource(`/api/clubs/${club.id}/starts/${startId}/order/changes?${query}`);
    stream.onmessage = ({ data }) => {
      const news = orderNewsSchema.safeParse(JSON.parse(data));
      if (news.success) onNews(news.data);
    };
    return () => stream.close();
  },
};
