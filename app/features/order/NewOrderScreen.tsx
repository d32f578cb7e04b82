import { spokenLength } from "@tonodrome/core";
import type { Start } from "@tonodrome/core/api";
import { type OrderForm, orderSlots } from "@tonodrome/core/order";
import { useRouter } from "expo-router";
import { useState } from "react";
import { Text, View } from "react-native";
import { useMakeOrder } from "~/data/resources/orders";
import { useStart } from "~/data/resources/starts";
import { Amount, Seconds } from "~/features/fields/fields";
import { Button } from "~/ui/Button";
import { clockTime } from "~/ui/dates";
import { Loaded } from "~/ui/layout/Loading";
import { Notice } from "~/ui/layout/Notice";
import { Screen } from "~/ui/layout/Screen";
import { words } from "~/ui/words";

/** Makes the running order that a start stands in, from its number and how they follow on each other. */
export function NewOrderScreen({ startId }: { startId: string }) {
  const start = useStart(startId);
  return (
    <Screen title={words.runningOrder} back="/">
      <Loaded query={start}>{(read) => <NewOrder start={read} />}</Loaded>
    </Screen>
  );
}

/** What is proposed. Custom. */
const USUAL = { number: 1, count: 24, eachSeconds: 240, groupOf: 0, groupSeconds: 360 };

/** Most numbers of an order that is made by hand, and the longest from one to the next and before a group, seconds. */
const MOST = { count: 200, each: 3600, group: 3600 };

function NewOrder({ start }: { start: Start }) {
  const router = useRouter();
  const make = useMakeOrder();
  const [form, setForm] = useState<Omit<OrderForm, "at">>(USUAL);
  const set = (more: Partial<OrderForm>) => setForm({ ...form, ...more });
  const { number, count, eachSeconds, groupOf, groupSeconds } = form;
  const slots = orderSlots({ ...form, at: start.listedAt });
  const first = slots[0]?.at ?? start.listedAt;
  const submit = () => {
    const { title, venue, zone, id } = start;
    make.mutate(
      { title, venue, zone, slots, starts: [{ startId: id, number }] },
      { onSuccess: (order) => router.replace(`/order/${order.id}`) },
    );
  };
  return (
    <View className="gap-4">
      <Text className="font-text text-body text-ink">
        {start.athlete.name}, {start.title}: on the list at {clockTime(start.listedAt, start.zone)}. When you
        say who is on, this start and all of yours after it move.
      </Text>
      <Amount
        label={`Number of ${start.athlete.name}`}
        value={number}
        least={1}
        most={MOST.count}
        onChange={(n) => set({ number: n, count: Math.max(n, count) })}
      />
      <Amount
        label="How many there are"
        value={count}
        least={number}
        most={MOST.count}
        onChange={(n) => set({ count: n })}
      />
      <Seconds
        label="Time from one to the next"
        value={eachSeconds}
        least={10}
        most={MOST.each}
        step={10}
        onChange={(n) => set({ eachSeconds: n })}
      />
      <Amount
        label="In groups of"
        value={groupOf}
        least={0}
        most={MOST.count}
        show={(n) => (n === 0 ? "none" : String(n))}
        onChange={(n) => set({ groupOf: n })}
      />
      {groupOf > 0 ? (
        <Seconds
          label="Warm-up of each group before it"
          value={groupSeconds}
          least={0}
          most={MOST.group}
          step={30}
          onChange={(n) => set({ groupSeconds: n })}
        />
      ) : null}
      <Text className="font-text text-body text-muted" testID="order-begins">
        Number 1 at {clockTime(first, start.zone)}, the last at{" "}
        {clockTime(slots.at(-1)?.at ?? first, start.zone)}, {spokenLength(eachSeconds)} each.
      </Text>
      {make.error ? <Notice warn text={make.error.message} /> : null}
      <Button
        label={make.isPending ? "Making it …" : "Follow this order"}
        look="full"
        disabled={make.isPending}
        onPress={submit}
      />
    </View>
  );
}
