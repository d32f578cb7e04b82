import { orderNewsSchema } from "@tonodrome/core/api";
import { currentAccount } from "~/data/account/account";
import type { OrderSource } from "./useRunningOrder";

/** One simulated world: all who start at one place on one day are on one list. */
const SEED = 7;

/** A stand-in for a competition's running order, told by the server. */
export const simulatedOrderOf: OrderSource = {
  follow({ startId }, onNews) {
    const club = currentAccount().club;
    if (!startId || !club) return () => undefined;
    const path = `/api/clubs/${club.id}/starts/${startId}/order/changes?seed=${SEED}`;
    const stream = new EventSource(path);
    stream.onmessage = ({ data }) => {
      const news = orderNewsSchema.safeParse(JSON.parse(data));
      if (news.success) onNews(news.data);
    };
    return () => stream.close();
  },
};
