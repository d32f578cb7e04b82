import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import type { Order, OrderInput } from "@tonodrome/core/api";
import { bodyOf } from "~/data/client/api";
import { useSendOnce } from "~/data/client/useSendOnce";
import { useClubAsk } from "~/data/queries/useClubAsk";

/** A running order, asked for again often: others say who is on too. */
export function useOrder(id: string) {
  const ask = useClubAsk();
  return useQuery({
    queryKey: ["order", id],
    queryFn: () => ask("order", "GET", `/orders/${id}`),
    refetchInterval: 5_000,
  });
}

function useKnownOrder() {
  const client = useQueryClient();
  return (order: Order) => {
    client.setQueryData(["order", order.id], order);
    void client.invalidateQueries({ queryKey: ["starts"] });
    for (const { id } of order.starts) void client.invalidateQueries({ queryKey: ["start", id] });
  };
}

/** Says who is on, as of the moment it was pressed. */
export function useSayNow(id: string) {
  const ask = useClubAsk();
  const onSuccess = useKnownOrder();
  return useMutation({
    mutationFn: (call: { number: number; at: string }) => ask("order", "POST", `/orders/${id}/now`, call),
    onSuccess,
  });
}

/** Makes a running order. */
export function useMakeOrder() {
  const ask = useClubAsk();
  const once = useSendOnce<OrderInput>();
  const known = useKnownOrder();
  return useMutation({
    mutationFn: (input: OrderInput) => ask("order", "POST", "/orders", once.withId(input)),
    onSuccess: (order) => {
      once.made();
      known(order);
    },
  });
}

/** Writes which of the club's starts stand in an order, against the version that was read. */
export function useSetMembers() {
  const ask = useClubAsk();
  const onSuccess = useKnownOrder();
  return useMutation({
    mutationFn: async ({ order, starts }: { order: Order; starts: OrderInput["starts"] }) =>
      ask("order", "PUT", `/orders/${order.id}`, await bodyOf("orderWrite", { ...order, starts })),
    onSuccess,
  });
}

/** Deletes a running order: its starts stay where they are. */
export function useDeleteOrder() {
  const ask = useClubAsk();
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ id }: Order) => ask("done", "DELETE", `/orders/${id}`),
    onSuccess: () => client.invalidateQueries(),
  });
}
