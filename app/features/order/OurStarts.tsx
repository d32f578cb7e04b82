import { flooredLength } from "@tonodrome/core";
import type { Order } from "@tonodrome/core/api";
import { expectedAt } from "@tonodrome/core/order";
import { Link } from "expo-router";
import { Text, View } from "react-native";
import { clockTime } from "~/ui/dates";
import { Notice } from "~/ui/layout/Notice";

/** The club's own in the order, and when each is to be expected. */
export function OurStarts({ order, now }: { order: Order; now: number }) {
  const on = order.calls.at(-1)?.number ?? 0;
  if (order.starts.length === 0) return <Notice text="Nobody of the club stands in this order yet." />;
  return (
    <View role="list" aria-label="Ours in this order">
      {order.starts.map(({ id, number, athlete, title, startsAt, listedAt }) => {
        const expected = expectedAt(order, number);
        const at = expected === null ? Date.parse(startsAt) : expected * 1000;
        const listed = clockTime(listedAt, order.zone);
        const isListed = clockTime(at, order.zone) === listed;
        const ahead = number - on;
        return (
          <View key={id} role="listitem" className="border-t-2 border-line py-2">
            <Link href={`/start/${id}`} className="flex flex-row items-center gap-3">
              <Text className="w-12 font-figures text-figure text-muted">{number}</Text>
              <View className="flex-1">
                <Text className="font-strong text-lead text-ink" numberOfLines={1}>
                  {athlete.name}
                </Text>
                <Text className="font-text text-small text-muted" numberOfLines={1}>
                  {title}
                </Text>
                <Text className="font-text text-body text-ink">
                  {ahead > 0
                    ? `${ahead === 1 ? "next" : `${ahead - 1} before`}${at > now ? `, in ${flooredLength((at - now) / 1000)}` : ""}`
                    : ahead === 0
                      ? "on now"
                      : "has been on"}
                </Text>
              </View>
              <View className="items-end">
                <Text className="font-figures text-figure text-signal">{clockTime(at, order.zone)}</Text>
                {isListed ? null : (
                  <Text className="font-text text-small text-muted">on the list {listed}</Text>
                )}
              </View>
            </Link>
          </View>
        );
      })}
    </View>
  );
}
