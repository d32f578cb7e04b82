import type { Order, Start } from "@tonodrome/core/api";
import { isNear } from "@tonodrome/core/order";
import { useState } from "react";
import { Text, View } from "react-native";
import { useSetMembers } from "~/data/resources/orders";
import { useStarts } from "~/data/resources/starts";
import { Amount } from "~/features/fields/fields";
import { Button } from "~/ui/Button";
import { Fold } from "~/ui/layout/Fold";
import { Notice } from "~/ui/layout/Notice";
import { words } from "~/ui/words";

/** Who of the club stands in an order: those of its day can be put in, each by its number. */
export function OrderMembers({ order }: { order: Order }) {
  const save = useSetMembers();
  const all = useStarts().data ?? [];
  const members = order.starts.map(({ id, number }) => ({ startId: id, number }));
  // The starts may have been read before the order was made.
  const isMember = (id: string) => members.some((m) => m.startId === id);
  const others = all.filter((s) => !s.order && !isMember(s.id) && isNear(order, s.startsAt));
  const set = (starts: typeof members) => save.mutate({ order, starts });
  return (
    <Fold title="Who is in this order">
      {save.error ? <Notice warn text={save.error.message} /> : null}
      {order.starts.map(({ id, athlete, number }) => (
        <View key={id} className="flex-row flex-wrap items-center justify-between gap-2">
          <Text className="flex-1 font-text text-body text-ink">
            {number}, {athlete.name}
          </Text>
          <Button
            label={`${words.remove} ${athlete.name}`}
            short={words.remove}
            disabled={save.isPending}
            onPress={() => set(members.filter((m) => m.startId !== id))}
          />
        </View>
      ))}
      {others.map((start) => (
        <Newcomer
          key={start.id}
          start={start}
          last={order.slots.at(-1)?.number ?? 1}
          isPending={save.isPending}
          onPut={(number) => set([...members, { startId: start.id, number }])}
        />
      ))}
    </Fold>
  );
}

interface NewcomerProps {
  start: Start;
  last: number;
  isPending: boolean;
  onPut: (number: number) => void;
}

function Newcomer({ start, last, isPending, onPut }: NewcomerProps) {
  const [number, setNumber] = useState(1);
  return (
    <View className="gap-1 border-t border-line pt-2">
      <Amount
        label={`${start.athlete.name}, ${start.title}`}
        value={number}
        least={1}
        most={last}
        onChange={setNumber}
      />
      <Button
        label={`Put ${start.athlete.name} in as ${number}`}
        disabled={isPending}
        onPress={() => onPut(number)}
      />
    </View>
  );
}
