import { roundLength, spokenLength } from "@tonodrome/core";
import type { Order } from "@tonodrome/core/api";
import { paceOf } from "@tonodrome/core/order";
import { useRouter } from "expo-router";
import { useState } from "react";
import { Pressable, Text, View } from "react-native";
import { useMay } from "~/data/account/useAccount";
import { timeNow } from "~/data/client/clock";
import { useNow } from "~/data/client/useNow";
import { useDeleteOrder, useOrder, useSayNow } from "~/data/resources/orders";
import { Amount } from "~/features/fields/fields";
import { Button } from "~/ui/Button";
import { clockTime } from "~/ui/dates";
import { Fold } from "~/ui/layout/Fold";
import { Loaded } from "~/ui/layout/Loading";
import { Notice } from "~/ui/layout/Notice";
import { Screen } from "~/ui/layout/Screen";
import { words } from "~/ui/words";
import { OrderMembers } from "./OrderMembers";
import { OurStarts } from "./OurStarts";

/** A running order followed by hand: one press says who is on, and everybody after moves. */
export function OrderScreen({ id }: { id: string }) {
  const order = useOrder(id);
  return (
    <Screen title={order.data?.title ?? words.runningOrder} over={words.runningOrder} back="/">
      <Loaded query={order}>{(read) => <Following order={read} />}</Loaded>
    </Screen>
  );
}

function Following({ order }: { order: Order }) {
  const mayRun = useMay("run");
  const mayBuild = useMay("build");
  const say = useSayNow(order.id);
  const now = useNow(10_000);
  const pace = paceOf(order);
  const last = order.slots.at(-1)?.number ?? 1;
  const on = pace.on ?? 0;
  // The press counts from when it was made, also where the first try does not reach the server.
  const press = (number: number) => say.mutate({ number, at: new Date(timeNow()).toISOString() });
  return (
    <View className="gap-5">
      <View className="flex-row flex-wrap items-end justify-between gap-3">
        <View>
          <Text className="font-text text-body text-muted">
            {[on === 0 ? null : "On now", order.venue].filter(Boolean).join(", ")}
          </Text>
          <Text className="font-figures text-huge text-ink" role="status" testID="on-now">
            {on === 0 ? "Nobody yet" : `${on} of ${last}`}
          </Text>
        </View>
        <Text className="font-text text-body text-ink" testID="pace">
          {paceWords(order, now)}
        </Text>
      </View>
      {mayRun ? <SayNow key={on} on={on} last={last} isPending={say.isPending} onSay={press} /> : null}
      {say.error && say.variables ? (
        <Notice
          warn
          text={`Not told that ${say.variables.number} is on. ${say.error.message}`}
          actions={[{ label: words.tryAgain, onPress: () => say.mutate(say.variables) }]}
        />
      ) : null}
      <OurStarts order={order} now={now} />
      {mayBuild ? <OrderMembers order={order} /> : null}
      {mayBuild ? <DeleteOrder order={order} /> : null}
    </View>
  );
}

interface SayNowProps {
  /** The number that is on; 0 for none. */
  on: number;
  last: number;
  isPending: boolean;
  onSay: (number: number) => void;
}

/** The next one is a press as large as the thumb; any other is two. */
function SayNow({ on, last, isPending, onSay }: SayNowProps) {
  const [other, setOther] = useState(Math.min(last, on + 2));
  return (
    <View className="gap-3">
      {on < last ? (
        <Pressable
          role="button"
          disabled={isPending}
          onPress={() => onSay(on + 1)}
          className={`min-h-24 items-center justify-center bg-press px-4 ${isPending ? "opacity-50" : "active:opacity-70"}`}
        >
          <Text className="font-strong text-title text-on-press">{on + 1} is on now</Text>
        </Pressable>
      ) : (
        <Notice text="The last one is on." />
      )}
      <Fold title="Set who is on now">
        <Amount label="Number" value={other} least={1} most={last} onChange={setOther} />
        <Button
          label={other <= on ? `${other} is on, not ${on}` : `${other} is on`}
          disabled={isPending}
          onPress={() => onSay(other)}
        />
      </Fold>
    </View>
  );
}

/** How late it is, and at which pace the rest is expected. */
function paceWords(order: Order, now: number): string {
  const { on, lateSeconds, listedSeconds, soFarSeconds } = paceOf(order);
  const each = `${spokenLength(listedSeconds)} each on the list`;
  if (on === null) {
    const first = order.slots[0];
    const wait = first ? (Date.parse(first.at) - now) / 1000 : 0;
    return first && wait > 0 ? `First at ${clockTime(first.at, order.zone)}, ${each}` : each;
  }
  const minutes = Math.round(Math.abs(lateSeconds) / 60);
  const late =
    minutes === 0
      ? "On time"
      : `${roundLength(minutes * 60)} ${lateSeconds > 0 ? "behind" : "ahead of"} the list`;
  if (soFarSeconds === null) return `${late}. The rest as listed, ${each}.`;
  const soFar = `${spokenLength(soFarSeconds)} each so far today, ${spokenLength(listedSeconds)} on the list`;
  return `${late}. ${soFar}. The rest is expected at today's pace.`;
}

function DeleteOrder({ order }: { order: Order }) {
  const router = useRouter();
  const remove = useDeleteOrder();
  const [asking, setAsking] = useState(false);
  if (!asking) return <Button label="Delete this order" icon="remove" onPress={() => setAsking(true)} />;
  return (
    <Notice
      warn
      text={remove.error?.message ?? "The starts stay, at the times they have now."}
      actions={[
        { label: "Delete it", onPress: () => remove.mutate(order, { onSuccess: () => router.replace("/") }) },
        { label: words.keepIt, onPress: () => setAsking(false) },
      ]}
    />
  );
}
