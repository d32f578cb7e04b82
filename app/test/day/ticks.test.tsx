import { QueryClient } from "@tanstack/react-query";
import { act, renderHook, waitFor } from "@testing-library/react-native";
import { mergeTicks, type Tick } from "@tonodrome/core/lists";
import { signedInAs } from "~/data/account/account";
import { sendTicks, unsentLists } from "~/data/day/ticks";
import { useTicks } from "~/data/day/useTicks";
import { makeMe } from "~/test/made/makeMe";
import { withClient } from "~/test/made/withClient";

let serverTicks: Tick[];
let isAway: boolean;
let refusal: { code: string; message: string; path: null } | null;
let posted: Tick[][];

beforeEach(() => {
  localStorage.clear();
  signedInAs(makeMe());
  serverTicks = [];
  posted = [];
  isAway = false;
  refusal = null;
  Object.assign(AbortSignal, { timeout: () => undefined });
  Object.assign(globalThis, {
    fetch: async (_: string, init: { method: string; body?: string }) => {
      if (isAway) throw new TypeError("Failed to fetch");
      if (init.method === "POST") {
        if (refusal) return { ok: false, json: async () => refusal };
        const { ticks } = JSON.parse(init.body ?? "") as { ticks: Tick[] };
        posted.push(ticks);
        serverTicks = mergeTicks(serverTicks, ticks);
      }
      return { ok: true, json: async () => ({ ticks: serverTicks }) };
    },
  });
});

let starts = 0;
/** Of a start of its own: what is unsent is remembered for as long as the page is there. */
function ticksIn(id = `11111111-1111-4111-8111-${String(++starts).padStart(12, "0")}`) {
  const client = new QueryClient();
  const wrapper = withClient(client);
  return { id, ...renderHook(() => useTicks(id), { wrapper }) };
}
const on = (ticks: readonly Tick[]) => ticks.filter((t) => t.isOn).map((t) => t.line);
const line = (name: string) => ({ step: "pack", line: name });

it("counts at once, and is sent", async () => {
  const { result } = ticksIn();
  await act(async () => result.current.press(line("Skates"), true));
  expect(on(result.current.ticks)).toEqual(["Skates"]);
  expect([on(serverTicks), unsentLists()]).toEqual([["Skates"], 0]);
});

it("without a network it is kept on the device and sent once there is one, also by a page that is opened later", async () => {
  isAway = true;
  const { id, result, unmount } = ticksIn();
  await act(async () => result.current.press(line("Skates"), true));
  await act(async () => result.current.press(line("Dress"), true));
  expect(on(result.current.ticks)).toEqual(["Dress", "Skates"]);
  expect(result.current.failure).not.toBeNull();
  expect(unsentLists()).toBe(1);
  unmount();
  isAway = false;
  const later = ticksIn(id);
  expect(on(later.result.current.ticks)).toEqual(["Dress", "Skates"]);
  await act(async () => sendTicks());
  await waitFor(() => expect(unsentLists()).toBe(0));
  expect(on(serverTicks)).toEqual(["Dress", "Skates"]);
  expect(later.result.current.failure).toBeNull();
});

it("what others ticked is seen, and a press comes after it though this clock runs behind", async () => {
  const at = new Date(Date.now() + 60_000).toISOString();
  serverTicks = [{ ...line("Skates"), isOn: true, at, by: "99999999-9999-4999-8999-999999999999" }];
  const { result } = ticksIn();
  await waitFor(() => expect(on(result.current.ticks)).toEqual(["Skates"]));
  await act(async () => result.current.press(line("Skates"), false));
  expect([on(result.current.ticks), on(serverTicks)]).toEqual([[], []]);
});

it("what is refused stays here with the reason, and is not asked for again by itself", async () => {
  refusal = { code: "full", message: "There are as many.", path: null };
  const { result } = ticksIn();
  await act(async () => result.current.press(line("Skates"), true));
  expect([result.current.failure, on(result.current.ticks), unsentLists()]).toEqual([
    "There are as many.",
    ["Skates"],
    1,
  ]);
  refusal = null;
  await act(async () => sendTicks());
  expect(posted).toEqual([]);
  // Another press takes it along.
  await act(async () => result.current.press(line("Dress"), true));
  expect(posted.map(on)).toEqual([["Dress", "Skates"]]);
});
